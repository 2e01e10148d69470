<?php

declare(strict_types=1);

namespace Hylognosis\Weather;

use Hylognosis\Measure\Temperature;

/**
 * Warmth of a day above a base, in kelvin days.
 *
 * Sources: McMaster & Wilhelm, Agric. For. Meteorol. 87 (1997) 291–300 (simple and modified; memory); Baskerville &
 * Emin, Ecology 50 (1969) 514–517 (single sine; memory).
 */
enum DegreeDays: string
{
    /** The mean of the least and the greatest temperature, above the base. */
    case Simple = 'simple';
    /** The same, after both have been brought between the base and an upper limit. */
    case Modified = 'modified';
    /** What lies above the base under a sine through the least and the greatest. */
    case SingleSine = 'single-sine';

    /**
     * @param Temperature|null $upper of the modified method; 30 °C where nothing is said
     *
     * @return float kelvin days, 0 or more
     */
    public function kelvinDays(
        Temperature $least,
        Temperature $greatest,
        Temperature $base,
        ?Temperature $upper = null,
    ): float {
        [$low, $high, $from] = [$least->celsius, $greatest->celsius, $base->celsius];

        return match ($this) {
            self::Simple => max(0.0, ($low + $high) / 2 - $from),
            self::Modified => self::modified($low, $high, $from, $upper->celsius ?? 30.0),
            self::SingleSine => self::sine($low, $high, $from),
        };
    }

    private static function modified(float $low, float $high, float $from, float $upper): float
    {
        $within = static fn (float $t): float => max($from, min($upper, $t));

        return ($within($low) + $within($high)) / 2 - $from;
    }

    private static function sine(float $low, float $high, float $from): float
    {
        if ($high <= $from) {
            return 0.0;
        }
        $mean = ($low + $high) / 2;
        if ($low >= $from) {
            return $mean - $from;
        }
        $half = ($high - $low) / 2;
        $angle = asin(($from - $mean) / $half);

        return (($mean - $from) * (\M_PI_2 - $angle) + $half * cos($angle)) / \M_PI;
    }
}
