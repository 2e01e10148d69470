<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Fibre that is to be cord. */
final readonly class CordQuery
{
    /**
     * @param float $grams       of dry fibre
     * @param float $millimetres across the cord
     */
    public function __construct(
        #[Assert\Range(min: 0.1, max: 1e7)] public float $grams,
        #[Assert\Range(min: 0.5, max: 50)] public float $millimetres,
    ) {
    }
}
