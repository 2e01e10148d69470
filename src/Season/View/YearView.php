<?php

declare(strict_types=1);

namespace App\Season\View;

/** A year at a place. */
final readonly class YearView
{
    /**
     * @param int               $year       which
     * @param string            $site       id of the place
     * @param string            $place      its name
     * @param bool              $holds      the flora’s dates can be moved there
     * @param float             $late       days by which the spring is later than usual, as far as dates tell
     * @param float             $lateSpread standard deviation of that
     * @param int               $seen       own dates of that year there
     * @param string            $station    where its weather comes from
     * @param list<YearRowView> $rows       soonest first
     */
    public function __construct(
        public int $year,
        public string $site,
        public string $place,
        public bool $holds,
        public float $late,
        public float $lateSpread,
        public int $seen,
        public string $station,
        public array $rows,
    ) {
    }
}
