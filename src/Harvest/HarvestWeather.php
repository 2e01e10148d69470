<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Harvest\View\HarvestWeatherView;
use App\Weather\Stations;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Weather\DailyWeather;

/** Asks the station of the place what the day was like. */
final readonly class HarvestWeather
{
    private const DAYS_BEFORE = 3;

    public function __construct(private Stations $stations)
    {
    }

    /** Null where the place has no station, or that day is not recorded (yet). */
    public function of(HarvestRecord $harvest): ?HarvestWeatherView
    {
        $site = $harvest->decision->examination->specimen->site;
        $on = $harvest->takenOn;
        $days = [];
        foreach ($this->stations->days($site, $on->modify('-'.self::DAYS_BEFORE.' days'), $on) as $day) {
            $days[CalendarDay::iso($day->day)] = $day;
        }
        $that = $days[CalendarDay::iso($on)] ?? null;
        unset($days[CalendarDay::iso($on)]);
        $rain = array_filter(
            array_map(static fn (DailyWeather $d): ?float => $d->rainMillimetres, $days),
            static fn (?float $r): bool => null !== $r,
        );

        return null === $that
            ? null
            : new HarvestWeatherView(
                $that->least->celsius,
                $that->greatest->celsius,
                $that->rainMillimetres,
                self::DAYS_BEFORE === \count($rain) ? round(array_sum($rain), 1) : null,
            );
    }
}
