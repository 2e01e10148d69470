<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** A stick that covers a tree. */
final readonly class StickQuery
{
    /**
     * @param float $stick cm
     * @param float $near from the eye to the stick, cm
     * @param float $far from the eye to the tree, m
     */
    public function __construct(
        #[Assert\Range(min: 5, max: 500)] public float $stick,
        #[Assert\Range(min: 5, max: 500)] public float $near,
        #[Assert\Range(min: 1, max: 500)] public float $far,
    ) {
    }
}
