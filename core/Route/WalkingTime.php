<?php

declare(strict_types=1);

namespace Hylognosis\Route;

use Hylognosis\Measure\Length;

/**
 * How long one walks, by the slope: 6·exp(−3.5·|slope + 0.05|) km/h on a path, six tenths of that off it; fastest on a
 * gentle way down.
 *
 * Source: W. Tobler, Three presentations on geographical analysis and modeling, NCGIA 93-1, 1993 (memory).
 */
final readonly class WalkingTime
{
    public const OFF_PATH = 0.6;
    private const STEEPEST = 1.5;

    /**
     * @param Length $along on the level, as the crow flies
     * @param float  $rise  metres upward; below 0 downward
     * @param float  $share of the speed on a path, above 0 to 1
     *
     * @return float seconds
     */
    public static function seconds(Length $along, float $rise, float $share = self::OFF_PATH): float
    {
        $metres = $along->metres();
        if ($metres <= 0.0) {
            return 0.0;
        }
        // nobody walks up a wall: what is steeper is a height mistaken, or goes round
        $slope = max(-self::STEEPEST, min(self::STEEPEST, $rise / $metres));

        return $metres / ((6 / 3.6) * exp(-3.5 * abs($slope + 0.05)) * $share);
    }
}
