<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** A tree seen from some way off. */
final readonly class AnglesQuery
{
    /**
     * @param float $distance level, from the eye to the trunk, m
     * @param float $top degrees above level
     * @param float $foot degrees above level; below 0 where the foot lies lower than the eye
     * @param bool $paced the distance was paced, not taped
     */
    public function __construct(
        #[Assert\Range(min: 1, max: 300)] public float $distance,
        #[Assert\Range(min: -80, max: 84.9)] public float $top,
        #[Assert\Range(min: -84.9, max: 80)] public float $foot,
        public bool $paced = false,
    ) {
    }
}
