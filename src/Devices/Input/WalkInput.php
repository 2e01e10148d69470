<?php

declare(strict_types=1);

namespace App\Devices\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** The walk the simulated receiver is carried along. */
final readonly class WalkInput
{
    /**
     * @param float $latitude  degrees, where it begins
     * @param float $longitude degrees
     * @param float $heading   degrees from true north
     * @param float $speed     metres a second
     * @param float $error     metres it errs by
     * @param bool  $lost      it has lost its signal
     */
    public function __construct(
        #[Assert\Range(min: -90, max: 90)]
        public float $latitude,
        #[Assert\Range(min: -180, max: 180)]
        public float $longitude,
        #[Assert\Range(min: 0, max: 360)]
        public float $heading = 0,
        #[Assert\Range(min: 0, max: 20)]
        public float $speed = 0,
        #[Assert\Range(min: 0, max: 500)]
        public float $error = 4,
        public bool $lost = false,
    ) {
    }
}
