<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use App\Web\Input\Day;
use Symfony\Component\Validator\Constraints as Assert;

/** A stack that dries at a place. */
final readonly class StackQuery
{
    /**
     * @param string $site    id of the place
     * @param string $since   day it was stacked, YYYY-MM-DD; not a day to come
     * @param float  $thick   of the pieces, mm
     * @param float  $long    of the pieces, m
     * @param float  $density air dry, kg in a cubic metre
     * @param float  $wet     water when it was stacked, per cent of all of it
     * @param float  $dry     water it is to come to
     */
    public function __construct(
        #[Assert\NotBlank] #[Assert\Uuid] public string $site,
        #[Assert\NotBlank] #[Day] public string $since,
        #[Assert\Range(min: 5, max: 400)] public float $thick,
        #[Assert\Range(min: 0.05, max: 8)] public float $long,
        #[Assert\Range(min: 80, max: 1400)] public float $density,
        #[Assert\Range(min: 5, max: 80)] public float $wet = 45.0,
        #[Assert\Range(min: 5, max: 60)] public float $dry = 20.0,
    ) {
    }
}
