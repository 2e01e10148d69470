<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Air in which wood lies. */
final readonly class AirQuery
{
    /**
     * @param float $celsius  of the air
     * @param float $humidity percent
     */
    public function __construct(
        #[Assert\Range(min: -10, max: 60)] public float $celsius,
        #[Assert\Range(min: 0, max: 98)] public float $humidity,
    ) {
    }
}
