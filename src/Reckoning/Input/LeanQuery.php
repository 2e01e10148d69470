<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** A trunk that leans. */
final readonly class LeanQuery
{
    /**
     * @param float $aside how far it is off the plumb line, m
     * @param float $height at that height, m
     */
    public function __construct(
        #[Assert\Range(min: 0, max: 60)] public float $aside,
        #[Assert\Range(min: 0.2, max: 100)] public float $height,
    ) {
    }
}
