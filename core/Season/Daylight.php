<?php

declare(strict_types=1);

namespace Hylognosis\Season;

use Hylognosis\Measure\Place;

/** When it is light on a day at a place. */
final readonly class Daylight
{
    /** Degrees of the middle of the sun when its upper edge shows, with the usual refraction. */
    private const RISEN = -0.833;
    private const TWILIGHT = -6.0;

    /**
     * @param \DateTimeImmutable|null $dawn    civil twilight begins: the sun is six degrees below; none where it never is
     * @param \DateTimeImmutable|null $sunrise none where the sun does not rise, or not set
     * @param \DateTimeImmutable|null $dusk    civil twilight ends
     */
    private function __construct(
        public ?\DateTimeImmutable $dawn,
        public ?\DateTimeImmutable $sunrise,
        public ?\DateTimeImmutable $sunset,
        public ?\DateTimeImmutable $dusk,
    ) {
    }

    /**
     * To a minute between the polar circles; hills that stand in the way it does not know.
     *
     * Source: the solar equations of NOAA, after J. Meeus, Astronomical Algorithms, 1991 (memory).
     */
    public static function on(\DateTimeImmutable $day, Place $place, \DateTimeZone $zone): self
    {
        $noon = new \DateTimeImmutable($day->format('Y-m-d').' 12:00', $zone);
        $at = static fn (float $altitude, int $side): ?\DateTimeImmutable => self::passing(
            $noon,
            $place,
            $altitude,
            $side,
        );

        return new self($at(self::TWILIGHT, -1), $at(self::RISEN, -1), $at(self::RISEN, 1), $at(self::TWILIGHT, 1));
    }

    /**
     * When the sun stands at an altitude, before (-1) or after (1) the noon that is nearest; none if never that day.
     */
    private static function passing(
        \DateTimeImmutable $noon,
        Place $place,
        float $altitude,
        int $side,
    ): ?\DateTimeImmutable {
        $seconds = $noon->getTimestamp();
        $latitude = deg2rad($place->latitudeDegrees);
        // once more for the moment found: the sun moves on
        for ($i = 0; $i < 3; ++$i) {
            [$declination, $equation] = self::sun($seconds);
            $cosine =
                (sin(deg2rad($altitude)) - sin($latitude) * sin($declination)) / (cos($latitude) * cos($declination));
            if (abs($cosine) > 1.0) {
                return null;
            }
            $transit = self::transit($noon->getTimestamp(), $place->longitudeDegrees, $equation);
            $seconds = $transit + $side * rad2deg(acos($cosine)) * 240.0;
        }

        return $noon->setTimestamp((int) round($seconds));
    }

    /** The passing of the meridian nearest to a moment, in seconds since 1970. */
    private static function transit(int $near, float $longitude, float $equation): float
    {
        $first = 43_200.0 - $longitude * 240.0 - $equation * 60.0;

        return $first + 86_400.0 * round(($near - $first) / 86_400.0);
    }

    /** @return array{float, float} declination in radians, equation of time in minutes */
    private static function sun(float $seconds): array
    {
        $t = ($seconds / 86_400.0 + 2_440_587.5 - 2_451_545.0) / 36_525.0;
        $longitude = fmod(280.46646 + $t * (36_000.76983 + $t * 0.0003032), 360.0);
        $anomaly = deg2rad(357.52911 + $t * (35_999.05029 - 0.0001537 * $t));
        $eccentricity = 0.016708634 - $t * (0.000042037 + 0.0000001267 * $t);
        $centre =
            sin($anomaly) * (1.914602 - $t * (0.004817 + 0.000014 * $t)) +
            sin(2 * $anomaly) * (0.019993 - 0.000101 * $t) +
            sin(3 * $anomaly) * 0.000289;
        $node = deg2rad(125.04 - 1934.136 * $t);
        $apparent = deg2rad($longitude + $centre - 0.00569 - 0.00478 * sin($node));
        $tilt = deg2rad(23.4392911 - 0.0130042 * $t + 0.00256 * cos($node));
        $y = tan($tilt / 2) ** 2;
        $mean = deg2rad($longitude);
        $equation =
            $y * sin(2 * $mean) -
            2 * $eccentricity * sin($anomaly) +
            4 * $eccentricity * $y * sin($anomaly) * cos(2 * $mean) -
            0.5 * $y ** 2 * sin(4 * $mean) -
            1.25 * $eccentricity ** 2 * sin(2 * $anomaly);

        return [asin(sin($tilt) * sin($apparent)), 4.0 * rad2deg($equation)];
    }
}
