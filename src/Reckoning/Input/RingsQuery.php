<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Rings on a part of the radius. */
final readonly class RingsQuery
{
    /**
     * @param int $rings counted
     * @param float $over cm they lie on
     * @param float $radius cm of the stem there, without bark
     */
    public function __construct(
        #[Assert\Range(min: 1, max: 3000)] public int $rings,
        #[Assert\Range(min: 0.1, max: 300)] public float $over,
        #[Assert\Range(min: 0.1, max: 300)] public float $radius,
    ) {
    }
}
