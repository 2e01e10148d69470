<?php

declare(strict_types=1);

namespace Hylognosis\Processing;

/** How long heartwood stands in the ground, by the class of EN 350. */
final readonly class GroundLife
{
    /** Years of a stake of 50 × 50 mm in the ground, by class, as British practice gives them (memory). */
    private const YEARS = [1 => [25, 60], 2 => [15, 25], 3 => [10, 15], 4 => [5, 10], 5 => [0, 5]];

    /**
     * @return array{int, int} years, from and to; thicker posts stand longer, wet and warm ground is harder on them
     *
     * @throws \InvalidArgumentException if it is no class
     */
    public static function ofClass(int $class): array
    {
        return self::YEARS[$class] ?? throw new \InvalidArgumentException('Classes go from 1 to 5.');
    }
}
