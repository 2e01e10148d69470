<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** One large tree, and another it is compared with. */
final readonly class PointsQuery
{
    /**
     * @param float $girth cm
     * @param float $height m
     * @param float $spread m
     * @param float $otherGirth cm; 0: there is none
     * @param float $otherHeight m
     * @param float $otherSpread m
     */
    public function __construct(
        #[Assert\Range(min: 5, max: 5000)] public float $girth,
        #[Assert\Range(min: 1, max: 130)] public float $height,
        #[Assert\Range(min: 0.2, max: 80)] public float $spread,
        #[Assert\Range(min: 0, max: 5000)] public float $otherGirth = 0.0,
        #[Assert\Range(min: 0, max: 130)] public float $otherHeight = 0.0,
        #[Assert\Range(min: 0, max: 80)] public float $otherSpread = 0.0,
    ) {
    }
}
