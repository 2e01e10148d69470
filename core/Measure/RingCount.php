<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/**
 * How old a stem is by the rings one can count, where they do not reach the middle: at the mean width of those that
 * were counted, half as fast or twice as fast in its youth.
 *
 * Source: common practice of counting increment cores that miss the pith. Rings may be missing in bad years, and double
 * in dry summers: no count is exact but of a cross-dated one.
 */
final readonly class RingCount
{
    /** A careful eye misses or doubles so many of a hundred. Common practice. */
    private const MISCOUNT = 0.03;

    /**
     * @param int    $rings   counted, 1 to 3000
     * @param Length $over    so much of the radius they lie on, more than 0
     * @param Length $radius  of the stem there, without bark
     *
     * @return array{int, int} years at that height, from and to
     *
     * @throws \InvalidArgumentException if they lie on more than there is
     */
    public static function age(int $rings, Length $over, Length $radius): array
    {
        if ($rings < 1 || $rings > 3000 || $over->metres() <= 0.0 || $over->metres() > $radius->metres() + 1e-9) {
            throw new \InvalidArgumentException('Rings are counted on a part of the radius, or all of it.');
        }
        $missing = max(0.0, $radius->metres() - $over->metres()) / ($over->metres() / $rings);
        $miscounted = max(1.0, self::MISCOUNT * $rings);

        return [
            max(1, (int) floor($rings - $miscounted + $missing / 2)),
            (int) ceil($rings + $miscounted + 2 * $missing),
        ];
    }
}
