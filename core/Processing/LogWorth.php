<?php

declare(strict_types=1);

namespace Hylognosis\Processing;

use Hylognosis\Measure\Volume;

/**
 * What a log is worth by one's own prices: boards by the international rule, and the slabs beside them as firewood.
 *
 * Source: a board foot is a twelfth of a cubic foot (convention); that of what is not board some seven tenths are slabs
 * and edgings, and the rest sawdust, is common practice.
 */
final readonly class LogWorth
{
    private const BOARD_FOOT = 0.3048 ** 3 / 12;
    private const SLABS = 0.7;

    /**
     * @param Volume   $boards sawn
     * @param Firewood $slabs  and edgings
     * @param float    $worth  of both, in the money of the prices
     * @param float    $ofSlabs of that
     */
    private function __construct(
        public Volume $boards,
        public Firewood $slabs,
        public float $worth,
        public float $ofSlabs,
    ) {
    }

    /**
     * @param float $perBoardFoot      price, 0 or more
     * @param float $perStackedMetre price of a stacked cubic metre of firewood, 0 or more
     *
     * @throws \InvalidArgumentException if a price is less than nothing
     */
    public static function of(SawLog $log, float $perBoardFoot, float $perStackedMetre): self
    {
        if ($perBoardFoot < 0.0 || $perStackedMetre < 0.0) {
            throw new \InvalidArgumentException('A price is nothing, or more.');
        }
        $feet = $log->international();
        $boards = min($feet * self::BOARD_FOOT, $log->smalian()->cubicMetres);
        $slabs = Firewood::solid(Volume::ofCubicMetres(self::SLABS * ($log->smalian()->cubicMetres - $boards)));
        $ofSlabs = $slabs->stackedVolume()->cubicMetres * $perStackedMetre;

        return new self(Volume::ofCubicMetres($boards), $slabs, $feet * $perBoardFoot + $ofSlabs, $ofSlabs);
    }
}
