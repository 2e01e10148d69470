<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Fruit or juice, and sugar. */
final readonly class PreserveQuery
{
    /**
     * @param float $fruit   grams of fruit or juice
     * @param float $sugar   grams
     * @param float $soluble percent of the fruit that is dissolved already
     * @param float $share   percent that shall be dissolved in the end
     */
    public function __construct(
        #[Assert\Range(min: 1, max: 1e7)] public float $fruit,
        #[Assert\Range(min: 0, max: 1e7)] public float $sugar,
        #[Assert\Range(min: 0, max: 80)] public float $soluble = 10.0,
        #[Assert\Range(min: 20, max: 85)] public float $share = 65.0,
    ) {
    }
}
