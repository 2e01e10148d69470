<?php

declare(strict_types=1);

namespace Hylognosis\Crop;

use Hylognosis\Measure\Amount;

/** What one person brings home from one full-grown tree in a good year, and who else lives on it. */
final readonly class TypicalCrop
{
    /**
     * @param Amount               $least  eight times of ten it lies between this
     * @param Amount               $most   and this
     * @param list<string>         $rivals animals that take it
     * @param array{int, int}|null $lasts  days from first ripe until the bulk of it is gone; null where nobody has said
     * @param bool                 $tender its flowers are lost to late frost; false: nothing is known of that
     *
     * @throws \InvalidArgumentException unless the amounts rise and are told in one unit
     */
    public function __construct(
        public Amount $least,
        public Amount $most,
        public array $rivals,
        public ?array $lasts,
        public bool $tender,
    ) {
        if ($least->unit !== $most->unit || $least->value >= $most->value) {
            throw new \InvalidArgumentException('A typical crop is told from less to more, in one unit.');
        }
    }
}
