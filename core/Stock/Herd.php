<?php

declare(strict_types=1);

namespace Hylognosis\Stock;

use Hylognosis\Measure\Mass;

/** Animals of one kind that graze together. */
final readonly class Herd
{
    /**
     * @param int  $number 1 to 10,000
     * @param Mass $each   what one of them weighs
     *
     * @throws \InvalidArgumentException unless there are animals, of 10 g to 2 t each
     */
    public function __construct(public Animal $animal, public int $number, public Mass $each)
    {
        if ($number < 1 || $number > 10_000) {
            throw new \InvalidArgumentException(\sprintf('A herd is 1 to 10,000 animals; not %d.', $number));
        }
        if ($each->grams < 10.0 || $each->kilograms() > 2000.0) {
            throw new \InvalidArgumentException('One animal weighs between 10 g and 2,000 kg.');
        }
    }
}
