<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** A tree that stands. */
final readonly class StemQuery
{
    /**
     * @param float $girth  at breast height, cm
     * @param float $height m
     */
    public function __construct(
        #[Assert\Range(min: 5, max: 1500)] public float $girth,
        #[Assert\Range(min: 1.3, max: 120)] public float $height,
    ) {
    }
}
