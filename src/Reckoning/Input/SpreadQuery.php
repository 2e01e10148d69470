<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** A crown from above. */
final readonly class SpreadQuery
{
    /**
     * @param float $widest m
     * @param float $square the way square to it, m
     */
    public function __construct(
        #[Assert\Range(min: 0.2, max: 80)] public float $widest,
        #[Assert\Range(min: 0.2, max: 80)] public float $square,
    ) {
    }
}
