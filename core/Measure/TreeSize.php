<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/**
 * Height, thickness and spread of a tree, by what one has at hand; each with the error of what was measured carried on to the
 * first order.
 *
 * Source: any handbook of forest mensuration, e.g. Avery & Burkhart (memory).
 */
final readonly class TreeSize
{
    /** How far a hand-held angle gauge is off, degrees. Common practice. */
    private const ANGLE = 0.5;
    /** How far a tape or pacing is off, as a share. Common practice. */
    private const TAPE = 0.01;
    private const PACES = 0.05;

    /**
     * d (tan α − tan β): the distance level, the angles up to the top and down (below 0) to the foot.
     *
     * @param Length $distance level, from the eye to the trunk; more than 0
     * @param float  $top      degrees above level, less than 85
     * @param float  $foot     degrees above level, below 0 where the foot lies lower than the eye; less than the top's
     *
     * @throws \InvalidArgumentException if no tree stands so
     */
    public static function heightByAngles(Length $distance, float $top, float $foot, bool $paced = false): Measured
    {
        $d = $distance->metres();
        if ($d <= 0.0 || $top >= 85.0 || $foot <= -85.0 || $top <= $foot) {
            throw new \InvalidArgumentException(
                'The top lies above the foot, both within 85 degrees of level, and one stands away from it.',
            );
        }
        [$a, $b] = [deg2rad($top), deg2rad($foot)];
        $height = $d * (tan($a) - tan($b));
        $angle = deg2rad(self::ANGLE);
        $error = sqrt(
            ($height * ($paced ? self::PACES : self::TAPE)) ** 2 +
                (($d * $angle) / cos($a) ** 2) ** 2 +
                (($d * $angle) / cos($b) ** 2) ** 2,
        );

        return new Measured(Length::ofMetres($height), Length::ofMetres($error));
    }

    /**
     * A stick held upright covers the tree from foot to top: stick × way to the tree / way to the stick.
     *
     * @throws \InvalidArgumentException if any of the lengths is none
     */
    public static function heightByStick(Length $stick, Length $eyeToStick, Length $eyeToTree): Measured
    {
        return self::byRatio($stick, $eyeToTree, $eyeToStick, 0.02);
    }

    /**
     * Something upright and the tree throw their shadows side by side: its height × tree's shadow / its shadow.
     *
     * @throws \InvalidArgumentException if any of the lengths is none
     */
    public static function heightByShadow(Length $pole, Length $itsShadow, Length $treeShadow): Measured
    {
        return self::byRatio($pole, $treeShadow, $itsShadow, 0.02);
    }

    /** Girth over π: right for a round trunk, a little too much for any other. */
    public static function diameter(Length $girth): Length
    {
        return Length::ofMetres($girth->metres() / \M_PI);
    }

    /**
     * Of several stems, the one trunk that has as much wood at that height: the root of the summed squares.
     *
     * @param non-empty-list<Length> $girths round each at breast height
     */
    public static function diameterOfStems(array $girths): Length
    {
        $squares = array_sum(array_map(static fn (Length $g): float => self::diameter($g)->metres() ** 2, $girths));

        return Length::ofMetres(sqrt($squares));
    }

    /** The mean of the widest way across the crown and the one square to it. */
    public static function spread(Length $widest, Length $square): Length
    {
        return Length::ofMetres(($widest->metres() + $square->metres()) / 2);
    }

    /**
     * How far a trunk leans from upright.
     *
     * @param Length $aside how far the trunk is off the plumb line at the height below
     *
     * @return float degrees
     *
     * @throws \InvalidArgumentException if the height is none
     */
    public static function lean(Length $aside, Length $height): float
    {
        return $height->metres() > 0.0
            ? rad2deg(atan2(abs($aside->metres()), $height->metres()))
            : throw new \InvalidArgumentException('A lean is measured over some height.');
    }

    private static function byRatio(Length $known, Length $far, Length $near, float $sighting): Measured
    {
        if ($known->metres() <= 0.0 || $far->metres() <= 0.0 || $near->metres() <= 0.0) {
            throw new \InvalidArgumentException('All three lengths are more than none.');
        }
        $height = ($known->metres() * $far->metres()) / $near->metres();

        return new Measured(
            Length::ofMetres($height),
            Length::ofMetres($height * sqrt(3 * self::TAPE ** 2 + $sighting ** 2)),
        );
    }
}
