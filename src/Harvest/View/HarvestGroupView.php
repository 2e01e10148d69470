<?php

declare(strict_types=1);

namespace App\Harvest\View;

/** Harvests that belong together, told short. */
final readonly class HarvestGroupView
{
    /**
     * @param string     $key        what they have in common
     * @param string     $label      in words
     * @param int        $times      how often it was taken
     * @param string     $unit       of the figures, as the reader weighs
     * @param float      $total      in all
     * @param float      $median     the middle one
     * @param float      $lower      half of them lie between this
     * @param float      $upper      and this
     * @param float|null $perHour    the middle yield of an hour; null where nobody looked at the clock
     * @param float|null $hourLower  half of them lie between this
     * @param float|null $hourUpper  and this
     * @param int        $timed      harvests with a time
     * @param float|null $otherYears the middle yield of an hour in other years; told by kind and year only
     * @param int        $otherTimed harvests of other years with a time
     * @param int        $opened     fruits or nuts that were looked at
     * @param int|null   $sound      per cent of them sound
     * @param int|null   $soundLeast per cent of all; nineteen times of twenty it lies between this
     * @param int|null   $soundMost  per cent, and this
     */
    public function __construct(
        public string $key,
        public string $label,
        public int $times,
        public string $unit,
        public float $total,
        public float $median,
        public float $lower,
        public float $upper,
        public ?float $perHour,
        public ?float $hourLower,
        public ?float $hourUpper,
        public int $timed,
        public ?float $otherYears,
        public int $otherTimed,
        public int $opened,
        public ?int $sound,
        public ?int $soundLeast,
        public ?int $soundMost,
    ) {
    }
}
