<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Something is to be dried. */
final readonly class DryingQuery
{
    /**
     * @param float $grams it weighs now
     * @param float $now   percent of water in it now, of all of it
     * @param float $then  percent of water it shall have
     */
    public function __construct(
        #[Assert\Range(min: 0.1, max: 1e9)] public float $grams,
        #[Assert\Range(min: 0, max: 98)] public float $now,
        #[Assert\Range(min: 0, max: 98)] public float $then,
    ) {
    }
}
