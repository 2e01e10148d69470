<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Place;
use Hylognosis\Measure\Temperature;
use Hylognosis\Season\Warmth;
use Hylognosis\Weather\Climate;
use Hylognosis\Weather\DailyWeather;
use Hylognosis\Weather\DegreeDays;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Degree days and what moves by them. */
final class DegreeDaysTest extends TestCase
{
    /**
     * The worked examples American extension leaflets give for maize with the limits of 50 and 86 °F (memory): 90 and
     * 62 °F give (86 + 62) / 2 − 50 = 24; 70 and 40 give (70 + 50) / 2 − 50 = 10; 45 and 30 give 0. The simple method
     * has (90 + 62) / 2 − 50 = 26 and (70 + 40) / 2 − 50 = 5.
     */
    #[TestWith([90.0, 62.0, 24.0, 26.0])]
    #[TestWith([70.0, 40.0, 10.0, 5.0])]
    #[TestWith([45.0, 30.0, 0.0, 0.0])]
    public function testTheExamplesOfTheLeaflets(float $high, float $low, float $modified, float $simple): void
    {
        $least = Temperature::fahrenheit($low);
        $greatest = Temperature::fahrenheit($high);
        $base = Temperature::fahrenheit(50);
        $upper = Temperature::fahrenheit(86);
        $inFahrenheit = static fn (DegreeDays $by): float => (9 / 5) * $by->kelvinDays($least, $greatest, $base, $upper);
        self::assertEqualsWithDelta($modified, $inFahrenheit(DegreeDays::Modified), 1e-9);
        self::assertEqualsWithDelta($simple, $inFahrenheit(DegreeDays::Simple), 1e-9);
    }

    /**
     * Baskerville & Emin 1969: the area above the base under a sine through both; here added up in ten thousand steps.
     */
    public function testTheSingleSineAgainstItsIntegral(): void
    {
        foreach (
            [[2.0, 18.0, 5.0], [-8.0, 6.0, 5.0], [6.0, 24.0, 5.0], [-4.0, 4.0, 5.0], [4.9, 5.1, 5.0], [7.0, 7.0, 5.0]] as [$low, $high, $base]
        ) {
            $sum = 0.0;
            for ($i = 0; $i < 10_000; ++$i) {
                $t = ($low + $high) / 2 + (($high - $low) / 2) * sin((2 * \M_PI * ($i + 0.5)) / 10_000);
                $sum += max(0.0, $t - $base) / 10_000;
            }
            self::assertEqualsWithDelta(
                $sum,
                DegreeDays::SingleSine->kelvinDays(
                    Temperature::celsius($low),
                    Temperature::celsius($high),
                    Temperature::celsius($base),
                ),
                1e-4,
            );
        }
    }

    public function testAClimateIsReadBackFromWhatItMade(): void
    {
        $place = Place::of(47.1, 15.3, Length::ofMetres(620));
        $climate = Climate::of(self::years(2023, 3, 0.0), $place);
        self::assertNotNull($climate);
        foreach ([1, 100, 196, 300] as $day) {
            $d = DayOfYear::of($day);
            self::assertEqualsWithDelta(self::wave($day) - 5, $climate->least($d)->celsius, 0.05);
            self::assertEqualsWithDelta(self::wave($day) + 5, $climate->greatest($d)->celsius, 0.05);
        }
        $up = $climate->at(Place::of(47.1, 15.3, Length::ofMetres(1120)));
        self::assertEqualsWithDelta(
            3.25,
            $climate->least(DayOfYear::of(9))->celsius - $up->least(DayOfYear::of(9))->celsius,
            1e-9,
            'the standard atmosphere: 6.5 K for each 1,000 m',
        );
        self::assertNull(Climate::of(\array_slice(self::years(2023, 1, 0.0), 0, 300), $place), 'no whole year');
    }

    /** Where the site is like the flora's place, and the year like all others, nothing moves; a warm year is early. */
    public function testEventsMoveByWarmth(): void
    {
        $place = Place::of(47.1, 15.3, Length::ofMetres(620));
        $records = [...self::years(2023, 3, 0.0), ...self::years(2026, 1, 2.0)];
        $here = Warmth::of($records, $place, $place);
        self::assertNotNull($here);
        $may = DayOfYear::parse('05-15');
        self::assertEqualsWithDelta(
            2,
            CalendarDay::between(CalendarDay::parse('2024-05-15'), $here->day($may, 2024)),
            3,
            'the mean has a warm year in it',
        );
        $early = CalendarDay::between(CalendarDay::parse('2026-05-15'), $here->day($may, 2026));
        self::assertLessThan(-6, $early);
        self::assertGreaterThan(-25, $early);
        // 366 m up: twelve days by Hopkins; by warmth of the same order
        $low = Warmth::of($records, $place, Place::of(47.1, 15.3, Length::ofMetres(254)));
        self::assertNotNull($low);
        $later = CalendarDay::between($here->day($may, 2024), $low->day($may, 2024));
        self::assertGreaterThan(8, $later);
        self::assertLessThan(20, $later);
        self::assertSame(
            '2028-02',
            $here->day(DayOfYear::parse('02-28'), 2028)->format('Y-m'),
            'a year nobody has recorded, a leap year',
        );
        self::assertNull(Warmth::of([], $place, $place));
    }

    public function testAPoleAndAPeakAreReckonedTooWithoutTrouble(): void
    {
        $reference = Place::of(47.1, 15.4, Length::ofMetres(400));
        foreach ([[90, 0, 9000], [-90, 0, -400], [0, 180, 8000], [47, 15, 620]] as [$latitude, $longitude, $metres]) {
            $place = Place::of($latitude, $longitude, Length::ofMetres($metres));
            $warmth = Warmth::of(self::years(2023, 2, $metres > 5000 ? -45.0 : 12.0), $place, $reference);
            self::assertNotNull($warmth);
            self::assertContains($warmth->day(DayOfYear::parse('06-01'), 2025)->format('Y'), ['2024', '2025']);
        }
    }

    private static function wave(int $day): float
    {
        return 8.0 - 10.0 * cos((2 * \M_PI * ($day - 20)) / 365);
    }

    /** @return list<DailyWeather> */
    private static function years(int $from, int $count, float $warmer): array
    {
        $days = [];
        $day = CalendarDay::parse("$from-01-01");
        for ($end = $day->modify("+$count years"); $day < $end; $day = $day->modify('+1 day')) {
            $mean = self::wave(DayOfYear::on($day)->number) + $warmer;
            $days[] = new DailyWeather($day, Temperature::celsius($mean - 5), Temperature::celsius($mean + 5));
        }

        return $days;
    }
}
