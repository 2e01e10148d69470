<?php

declare(strict_types=1);

namespace App\Weather\View;

use Hylognosis\Measure\CalendarDay;
use Hylognosis\Weather\DailyWeather;

/** The weather of a day. */
final readonly class WeatherDayView
{
    /**
     * @param string     $day      YYYY-MM-DD
     * @param float      $least    °C
     * @param float      $greatest °C
     * @param float|null $rain     millimetres
     * @param float|null $gust     metres per second
     * @param float|null $humidity percent
     */
    public function __construct(
        public string $day,
        public float $least,
        public float $greatest,
        public ?float $rain,
        public ?float $gust,
        public ?float $humidity,
    ) {
    }

    public static function of(DailyWeather $day): self
    {
        return new self(
            CalendarDay::iso($day->day),
            $day->least->celsius,
            $day->greatest->celsius,
            $day->rainMillimetres,
            $day->gustMetresPerSecond,
            $day->humidityPercent,
        );
    }
}
