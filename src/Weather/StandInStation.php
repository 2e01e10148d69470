<?php

declare(strict_types=1);

namespace App\Weather;

use App\Clock\SchoolClock;
use App\Trees\Site;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Temperature;
use Hylognosis\Weather\DailyWeather;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Plays a station of the hills north of the Alps. The same place has the same weather each time it is asked; each year
 * is a warm or a cold one of its own. It knows nothing of days to come.
 *
 * Figures: the climate tables of Central European stations around 600 m (memory): 8 °C in the mean of the year, −2 in
 * January, 18 in July, a metre of rain a year with a wet summer, gusts above 20 m/s on a few days.
 */
final class StandInStation implements WeatherStation
{
    private const MEAN_AT_620 = 8.0;
    private const HALF_OF_THE_YEAR = 9.8;
    /** Kelvin for each metre upward, and for each degree poleward of 47°. */
    private const LAPSE = 0.0065;
    private const POLEWARD = 0.7;

    /** @var array<string, list<DailyWeather>> by place and year */
    private array $years = [];

    public function __construct(private readonly SchoolClock $clock)
    {
    }

    public function days(Site $site, \DateTimeImmutable $from, \DateTimeImmutable $to): array
    {
        $to = min($to, $this->clock->today()->modify('-1 day'));
        $days = [];
        for ($year = (int) $from->format('Y'); $year <= (int) $to->format('Y'); ++$year) {
            foreach ($this->year($site, $year) as $day) {
                if ($day->day >= $from && $day->day <= $to) {
                    $days[] = $day;
                }
            }
        }

        return $days;
    }

    /** @return list<DailyWeather> */
    private function year(Site $site, int $year): array
    {
        $key = \sprintf('%.1f %.1f %.0f %d', $site->latitude, $site->longitude, $site->altitude, $year);

        return $this->years[$key] ??= $this->played($site, $year);
    }

    /** @return list<DailyWeather> */
    private function played(Site $site, int $year): array
    {
        // the valley shares its weather: the seed is of the year and the wider neighbourhood
        $random = new Randomizer(
            new Mt19937(crc32(\sprintf('%d %.0f %.0f', $year, $site->latitude, $site->longitude))),
        );
        $uniform = static fn (): float => ($random->getInt(0, 999_999) + 0.5) / 1_000_000;
        $normal = static fn (float $sd): float => $sd * sqrt(-2 * log($uniform())) * cos(2 * \M_PI * $uniform());
        $mean =
            self::MEAN_AT_620 -
            self::LAPSE * ($site->altitude - 620) -
            self::POLEWARD * (abs($site->latitude) - 47) +
            $normal(0.7);
        $turned = $site->latitude < 0 ? 182 : 0;
        $stray = 0.0;
        $wet = false;
        $days = [];
        $day = CalendarDay::parse("$year-01-01");
        for ($end = $day->modify('+1 year'); $day < $end; $day = $day->modify('+1 day')) {
            $n = DayOfYear::on($day)->plus($turned)->number;
            $summer = 0.5 - 0.5 * cos((2 * \M_PI * ($n - 20)) / 365); // 0 in late January, 1 in late July
            $stray = 0.75 * $stray + $normal(2.6 - 0.7 * $summer);
            $wet = $uniform() < ($wet ? 0.58 : 0.3) + 0.06 * $summer;
            $middle = $mean + self::HALF_OF_THE_YEAR * (2 * $summer - 1) + $stray - ($wet ? 1.2 * $summer : 0.0);
            $middle = max(-45.0, min(38.0, $middle)); // a pole or a peak is beyond what it was made for
            $half = max(1.0, (2.6 + 3.4 * $summer) * ($wet ? 0.65 : 1.15) + $normal(0.8));
            $rain = $wet ? -log($uniform()) * (4.2 + 3.6 * $summer) : 0.0;
            $wind = 2.1 * sqrt(-log($uniform())) * (1.15 - 0.3 * $summer);
            $gust = $wind * (2.2 + 1.4 * $uniform()) + ($wet && $uniform() < 0.06 ? 6.0 + 14.0 * $uniform() : 0.0);
            $days[] = new DailyWeather(
                $day,
                Temperature::celsius(round($middle - $half, 1)),
                Temperature::celsius(round($middle + $half, 1)),
                round($rain, 1),
                round($wind, 1),
                round($gust, 1),
                round(max(30.0, min(100.0, ($wet ? 86 : 72) - 8 * $summer + $normal(6))), 0),
            );
        }

        return $days;
    }
}
