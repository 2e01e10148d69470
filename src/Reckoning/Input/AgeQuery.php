<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** A tree whose girth is known. */
final readonly class AgeQuery
{
    /**
     * @param float $girth cm
     * @param float $low years for each inch of diameter, at the least
     * @param float $high and at the most
     */
    public function __construct(
        #[Assert\Range(min: 5, max: 5000)] public float $girth,
        #[Assert\Range(min: 0.5, max: 20)] public float $low,
        #[Assert\Range(min: 0.5, max: 20)]
        #[Assert\GreaterThanOrEqual(propertyPath: 'low', message: 'It is no less than the least.')]
        public float $high,
    ) {
    }
}
