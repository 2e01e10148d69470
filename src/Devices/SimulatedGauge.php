<?php

declare(strict_types=1);

namespace App\Devices;

use Symfony\Component\DependencyInjection\Attribute\AsAlias;

/** Plays a caliper or a tape: it sends what was set, as such a thing does, to a hundredth of a millimetre. */
#[AsAlias(LengthGauge::class)]
final readonly class SimulatedGauge implements LengthGauge
{
    public function __construct(private StandInSettings $settings)
    {
    }

    public function isStandIn(): bool
    {
        return true;
    }

    public function reading(string $person): string
    {
        $gauge = $this->settings->gauge($person);

        return null === $gauge ? '' : \sprintf('%10.2f %s', $gauge['reading'], $gauge['unit']);
    }
}
