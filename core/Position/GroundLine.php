<?php

declare(strict_types=1);

namespace Hylognosis\Position;

use Hylognosis\Measure\Length;

/**
 * The shortest way over the ground from one point to another: how far, and in which direction it begins. Reckoned on a
 * sphere, it is off by less than 0.6 % from the ellipsoid of WGS 84; at the distances walked to a tree a receiver is
 * off by more.
 */
final readonly class GroundLine
{
    /** Mean radius of the Earth, metres (IUGG, R1). */
    private const RADIUS = 6_371_008.8;

    /** @param float $bearing degrees clockwise from true north, 0 to below 360; 0 where both are one point */
    private function __construct(public Length $length, public float $bearing)
    {
    }

    /** All four in degrees, WGS 84, north and east above 0. */
    public static function between(
        float $fromLatitude,
        float $fromLongitude,
        float $toLatitude,
        float $toLongitude,
    ): self {
        [$from, $to] = [deg2rad($fromLatitude), deg2rad($toLatitude)];
        $east = deg2rad($toLongitude - $fromLongitude);
        $half = sin(($to - $from) / 2) ** 2 + cos($from) * cos($to) * sin($east / 2) ** 2;
        $bearing = rad2deg(atan2(sin($east) * cos($to), cos($from) * sin($to) - sin($from) * cos($to) * cos($east)));

        return new self(Length::ofMetres(2 * self::RADIUS * asin(min(1.0, sqrt($half)))), fmod($bearing + 360, 360));
    }
}
