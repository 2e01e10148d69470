<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Meal is to be leached. */
final readonly class LeachingQuery
{
    /**
     * @param float $meal  grams, dry
     * @param float $water grams to each change
     * @param float $left  percent of the bitterness that may be left
     * @param string $group of the oak: white, red, or empty where it is not known
     */
    public function __construct(
        #[Assert\Range(min: 1, max: 1e7)] public float $meal,
        #[Assert\Range(min: 1, max: 1e8)] public float $water,
        #[Assert\Range(min: 0.01, max: 99)] public float $left = 1.0,
        #[Assert\Choice(['', 'white', 'red'])] public string $group = '',
    ) {
    }
}
