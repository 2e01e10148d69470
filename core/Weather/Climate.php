<?php

declare(strict_types=1);

namespace Hylognosis\Weather;

use Hylognosis\Measure\Cholesky;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Place;
use Hylognosis\Measure\Temperature;

/**
 * What the temperatures of a place are like in the mean of the years: two waves of the year, fitted by least squares to
 * what a station recorded.
 */
final readonly class Climate
{
    /** Fewer days tell nothing of a year. */
    public const FEWEST_DAYS = 330;
    /** Kelvin for each 100 m upward (the standard atmosphere), and for each degree of latitude poleward (memory). */
    private const PER_HUNDRED_METRES = 0.65;
    private const PER_DEGREE = 0.7;

    /**
     * @param array<int, float> $least    weights of the waves of the least temperature, °C
     * @param array<int, float> $greatest of the greatest
     */
    private function __construct(private array $least, private array $greatest, public Place $place)
    {
    }

    /**
     * @param iterable<DailyWeather> $records
     *
     * @return self|null none where there are fewer than 330 days, or they lie in one part of the year
     */
    public static function of(iterable $records, Place $place): ?self
    {
        $matrix = array_fill(0, 5, array_fill(0, 5, 0.0));
        $right = [array_fill(0, 5, 0.0), array_fill(0, 5, 0.0)];
        $months = [];
        $days = 0;
        foreach ($records as $record) {
            $day = DayOfYear::on($record->day);
            $waves = self::waves($day);
            ++$days;
            $months[$day->month()] = true;
            foreach ($waves as $i => $x) {
                $right[0][$i] += $x * $record->least->celsius;
                $right[1][$i] += $x * $record->greatest->celsius;
                foreach ($waves as $j => $y) {
                    $matrix[$i][$j] += $x * $y;
                }
            }
        }
        if ($days < self::FEWEST_DAYS || \count($months) < 12) {
            return null;
        }
        $cholesky = Cholesky::of($matrix);

        return new self($cholesky->solve($right[0]), $cholesky->solve($right[1]), $place);
    }

    public function least(DayOfYear $day): Temperature
    {
        return self::possible(self::sum($this->least, $day));
    }

    public function greatest(DayOfYear $day): Temperature
    {
        return self::possible(self::sum($this->greatest, $day));
    }

    /** Moved far, a climate leaves what the air can have. */
    private static function possible(float $celsius): Temperature
    {
        return Temperature::celsius(max(-95.0, min(60.0, $celsius)));
    }

    /** What it is like at another place not far away: cooler upward and poleward. */
    public function at(Place $place): self
    {
        $cooler =
            (self::PER_HUNDRED_METRES * ($place->altitude->metres() - $this->place->altitude->metres())) / 100 +
            self::PER_DEGREE * (abs($place->latitudeDegrees) - abs($this->place->latitudeDegrees));
        [$least, $greatest] = [$this->least, $this->greatest];
        $least[0] -= $cooler;
        $greatest[0] -= $cooler;

        return new self($least, $greatest, $place);
    }

    /** @return list<float> */
    private static function waves(DayOfYear $day): array
    {
        $angle = (2 * \M_PI * ($day->number - 1)) / 365;

        return [1.0, cos($angle), sin($angle), cos(2 * $angle), sin(2 * $angle)];
    }

    /** @param array<int, float> $weights */
    private static function sum(array $weights, DayOfYear $day): float
    {
        $sum = 0.0;
        foreach (self::waves($day) as $i => $x) {
            $sum += $weights[$i] * $x;
        }

        return $sum;
    }
}
