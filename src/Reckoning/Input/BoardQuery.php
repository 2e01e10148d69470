<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** A board that moves indoors. */
final readonly class BoardQuery
{
    /**
     * @param float $millimetres wide now
     * @param float $green       percent it shrinks by from green to dry, in that direction
     * @param float $now         percent of moisture, of what is dry
     * @param float $then        the same, where it is to live
     */
    public function __construct(
        #[Assert\Range(min: 1, max: 5000)] public float $millimetres,
        #[Assert\Range(min: 0.5, max: 20)] public float $green,
        #[Assert\Range(min: 0, max: 200)] public float $now,
        #[Assert\Range(min: 0, max: 200)] public float $then,
    ) {
    }
}
