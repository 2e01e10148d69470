<?php

declare(strict_types=1);

namespace App\Weather\View;

use App\Trees\StationKind;

/** The weather of a place. */
final readonly class WeatherView
{
    /**
     * @param StationKind          $station where it comes from
     * @param int                  $known   days that were brought in
     * @param bool                 $tells   enough is known to reckon with warmth
     * @param float|null           $warmth  kelvin days above 5 °C since 1 January, by the single sine; null where days are missing
     * @param list<WeatherDayView> $days    the last thirty that are known
     */
    public function __construct(
        public StationKind $station,
        public int $known,
        public bool $tells,
        public ?float $warmth,
        public array $days,
    ) {
    }
}
