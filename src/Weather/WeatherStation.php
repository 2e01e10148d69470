<?php

declare(strict_types=1);

namespace App\Weather;

use App\Trees\Site;
use Hylognosis\Weather\DailyWeather;

/** Something that knows the weather of a place by the day. */
interface WeatherStation
{
    /** @return list<DailyWeather> in the order of the days; those it does not know are missing */
    public function days(Site $site, \DateTimeImmutable $from, \DateTimeImmutable $to): array;
}
