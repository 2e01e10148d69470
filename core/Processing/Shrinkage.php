<?php

declare(strict_types=1);

namespace Hylognosis\Processing;

use Hylognosis\Measure\Length;

/** How much narrower a board gets from one moisture to another: only below fibre saturation, and in a straight line. */
final readonly class Shrinkage
{
    /** On dry basis. Wood Handbook, ch. 4 (memory). */
    private const FIBRE_SATURATION = 0.3;

    /**
     * @param float $green share it shrinks by from green to dry in that direction: across the rings some 0.02 to 0.08,
     *                     along them (tangential) some 0.04 to 0.13
     *
     * @throws \InvalidArgumentException unless 0 < share < 0.25
     */
    public function __construct(private float $green)
    {
        if ($green <= 0.0 || $green >= 0.25) {
            throw new \InvalidArgumentException('Wood shrinks by less than a quarter, and by more than nothing.');
        }
    }

    /** Width at the other moisture. */
    public function width(Length $now, Moisture $from, Moisture $to): Length
    {
        return Length::ofMetres(($now->metres() * (1 - $this->share($to))) / (1 - $this->share($from)));
    }

    private function share(Moisture $moisture): float
    {
        return ($this->green * max(0.0, self::FIBRE_SATURATION - $moisture->onDryBasis())) / self::FIBRE_SATURATION;
    }
}
