<?php

declare(strict_types=1);

namespace Hylognosis\Processing;

use Hylognosis\Measure\Mass;
use Hylognosis\Measure\Proportion;

/**
 * Kernels to come from nuts: the share that was sound among those looked at, times the share of a sound one that is
 * kernel.
 */
final readonly class NutYield
{
    /** @param array{Mass, Mass} $interval nineteen times of twenty it lies between, as far as the count goes */
    private function __construct(public Mass $kernels, public array $interval)
    {
    }

    /**
     * @param Proportion $sound  sound ones among those cut open or floated
     * @param float      $kernel share of a sound nut's weight that is kernel, more than 0 and at most 1
     *
     * @throws \InvalidArgumentException if that share is none
     */
    public static function of(Mass $nuts, Proportion $sound, float $kernel): self
    {
        if ($kernel <= 0.0 || $kernel > 1.0) {
            throw new \InvalidArgumentException('The kernel is a share of the nut, from more than 0 to 1.');
        }
        [$least, $most] = $sound->clopperPearson();

        return new self($nuts->times($sound->share() * $kernel), [
            $nuts->times($least * $kernel),
            $nuts->times($most * $kernel),
        ]);
    }
}
