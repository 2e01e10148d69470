<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Two shadows side by side. */
final readonly class ShadowQuery
{
    /**
     * @param float $pole height of what throws the one, m
     * @param float $near its shadow, m
     * @param float $far shadow of the tree, m
     */
    public function __construct(
        #[Assert\Range(min: 0.2, max: 30)] public float $pole,
        #[Assert\Range(min: 0.1, max: 200)] public float $near,
        #[Assert\Range(min: 0.5, max: 500)] public float $far,
    ) {
    }
}
