<?php

declare(strict_types=1);

namespace Hylognosis\Stock;

use Hylognosis\Measure\Length;
use Hylognosis\Measure\Mass;
use Hylognosis\Measure\Normal;

/**
 * How much leaf a tree in full leaf carries, or a limb: a limb is reckoned as a tree as thick as it is at its foot
 * (common practice; what a cross section of wood feeds is much the same in a trunk and in a limb).
 */
final readonly class CarriedLeaf
{
    /** The line is drawn from stems of these diameters, cm. */
    public const THINNEST = 2.5;
    public const THICKEST = 70.0;
    /** Water in fresh leaves, share of the whole; between 55 and 70 per cent in most. Common practice. */
    public const WATER = 0.6;
    /** The share of leaves of a single tree is off by about so much, of the natural logarithm. Common practice. */
    private const LEAF_SPREAD = 0.4;

    /**
     * @param Mass $above the whole tree above the ground, dry
     * @param Mass $dry   its leaves, dry
     * @param Mass $fresh its leaves as they hang there
     * @param Mass $least so much fresh leaf or more carries one of them nine times of ten
     * @param Mass $most  and so much or less
     */
    private function __construct(
        public Mass $above,
        public Mass $dry,
        public Mass $fresh,
        public Mass $least,
        public Mass $most,
    ) {
    }

    /**
     * @param Length $diameter of the trunk at 1.3 m, or of a limb at its foot
     *
     * @throws \InvalidArgumentException outside 2.5 to 70 cm, where nobody has weighed enough of them
     */
    public static function of(WoodyGroup $group, Length $diameter): self
    {
        $cm = 100 * $diameter->metres();
        if ($cm < self::THINNEST || $cm > self::THICKEST) {
            throw new \InvalidArgumentException(
                \sprintf('Leaf is reckoned for trunks and limbs of 2.5 to 70 cm; not of %.1f cm.', $cm),
            );
        }
        [$b0, $b1] = $group->line();
        [$c0, $c1] = $group->leaves();
        $above = exp($b0 + $b1 * log($cm));
        $dry = $above * exp($c0 + $c1 / $cm);
        $fresh = $dry / (1 - self::WATER);
        $off = exp(Normal::EIGHTY * hypot($group->spread(), self::LEAF_SPREAD));

        return new self(
            Mass::ofKilograms($above),
            Mass::ofKilograms($dry),
            Mass::ofKilograms($fresh),
            Mass::ofKilograms($fresh / $off),
            Mass::ofKilograms($fresh * $off),
        );
    }
}
