<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Nuts, and a count of sound ones. */
final readonly class KernelQuery
{
    /**
     * @param float $grams  of nuts
     * @param int   $opened how many were looked at
     * @param int   $sound  how many of them were sound
     * @param float $kernel percent of a sound nut that is kernel
     */
    public function __construct(
        #[Assert\Range(min: 1, max: 1e8)] public float $grams,
        #[Assert\Range(min: 1, max: 10_000)] public int $opened,
        #[Assert\Range(min: 0, max: 10_000)] #[Assert\LessThanOrEqual(propertyPath: 'opened')] public int $sound,
        #[Assert\Range(min: 1, max: 100)] public float $kernel,
    ) {
    }
}
