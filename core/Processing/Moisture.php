<?php

declare(strict_types=1);

namespace Hylognosis\Processing;

use Hylognosis\Measure\Mass;
use Hylognosis\Measure\Temperature;

/** How much water is in something: as a share of all of it (wet basis), or of what is dry in it (dry basis). */
final readonly class Moisture
{
    private function __construct(private float $wet)
    {
    }

    /** @throws \InvalidArgumentException unless 0 ≤ share < 1 */
    public static function wetBasis(float $share): self
    {
        return $share >= 0.0 && $share < 1.0
            ? new self($share)
            : throw new \InvalidArgumentException('On wet basis water is a share from 0 to less than 1.');
    }

    /** @throws \InvalidArgumentException unless 0 ≤ share ≤ 20; green wood has up to 2, fruit up to 10 */
    public static function dryBasis(float $share): self
    {
        return $share >= 0.0 && $share <= 20.0
            ? new self($share / (1 + $share))
            : throw new \InvalidArgumentException('On dry basis water is from 0 to 20 times what is dry.');
    }

    /**
     * What wood comes to in air that stays as it is: after Hailwood and Horrobin, as the Wood Handbook of the US Forest
     * Products Laboratory gives it in chapter 4 (memory). Off by some two tenths of a percent.
     *
     * @param Temperature $air      −10 to 90 °C
     * @param float       $humidity relative, 0 to 0.98: above that the curve holds no more
     *
     * @throws \InvalidArgumentException if the air is none of that
     */
    public static function ofWoodIn(Temperature $air, float $humidity): self
    {
        $t = $air->celsius;
        if ($t < -10.0 || $t > 90.0 || $humidity < 0.0 || $humidity > 0.98) {
            throw new \InvalidArgumentException('The curve holds from -10 to 90 °C, and up to 98 % of humidity.');
        }
        $w = 349 + 1.29 * $t + 0.0135 * $t ** 2;
        $k = 0.805 + 0.000736 * $t - 0.00000273 * $t ** 2;
        $k1 = 6.27 - 0.00938 * $t - 0.000303 * $t ** 2;
        $k2 = 1.91 + 0.0407 * $t - 0.000293 * $t ** 2;
        $kh = $k * $humidity;
        $sorbed = $k1 * $kh + 2 * $k1 * $k2 * $kh ** 2;

        return self::dryBasis((18 / $w) * ($kh / (1 - $kh) + $sorbed / (1 + $k1 * $kh + $k1 * $k2 * $kh ** 2)));
    }

    /** Share of all of it, 0 to less than 1. */
    public function onWetBasis(): float
    {
        return $this->wet;
    }

    /** Times what is dry in it. */
    public function onDryBasis(): float
    {
        return $this->wet / (1 - $this->wet);
    }

    /** What something weighs once it has that moisture instead of this one: what is dry in it stays. */
    public function weightAt(self $other, Mass $now): Mass
    {
        return $now->times((1 - $this->wet) / (1 - $other->wet));
    }
}
