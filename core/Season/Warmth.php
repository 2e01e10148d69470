<?php

declare(strict_types=1);

namespace Hylognosis\Season;

use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Place;
use Hylognosis\Measure\Temperature;
use Hylognosis\Weather\Climate;
use Hylognosis\Weather\DailyWeather;
use Hylognosis\Weather\DegreeDays;

/**
 * Moves an event by warmth: it comes when as many degree days have gathered at the site as had gathered by then at the
 * place the flora's dates hold for, in the mean of the years. Counted by the single sine from 1 January (south of the
 * equator from 1 July) above 5 °C. Days nobody has recorded are taken from the climate of the site.
 */
final class Warmth
{
    /** Degrees Celsius above which warmth counts. Common practice for trees of temperate woods. */
    public const BASE = 5.0;

    /** @var array<int, list<float>> kelvin days gathered by each day from the start on, by the year it ends in */
    private array $gathered = [];
    /** @var list<float> the same at the place of the flora, in the mean of the years */
    private array $usual;

    /** @param array<string, DailyWeather> $records by day, YYYY-MM-DD */
    private function __construct(private readonly Climate $climate, private readonly array $records, Place $reference)
    {
        $there = $this->climate->at($reference);
        $sum = 0.0;
        $usual = [];
        for ($i = 0; $i < 365; ++$i) {
            $usual[] = $sum += self::ofClimate($there, $this->start()->plus($i));
        }
        $this->usual = $usual;
    }

    /**
     * @param iterable<DailyWeather> $records   of one station
     * @param Place                  $place     where it stands
     * @param Place                  $reference where the dates of the flora hold
     *
     * @return self|null none where too little is recorded to know what the place is like
     */
    public static function of(iterable $records, Place $place, Place $reference): ?self
    {
        $days = [];
        foreach ($records as $record) {
            $days[CalendarDay::iso($record->day)] = $record;
        }
        $climate = Climate::of($days, $place);

        return null === $climate ? null : new self($climate, $days, $reference);
    }

    /**
     * The day of a year on which as much warmth has gathered here as usually has by a day where the flora's dates hold.
     */
    public function day(DayOfYear $there, int $year): \DateTimeImmutable
    {
        $wanted = $this->usual[$this->start()->until($there)];
        $season = $this->start()->number <= $there->number ? $year : $year - 1;
        $gathered = $this->gathered($season);
        $low = 0;
        $high = \count($gathered) - 1;
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($gathered[$middle] >= $wanted) {
                $high = $middle;
            } else {
                $low = $middle + 1;
            }
        }

        return $this->firstDay($season)->modify("+$low days");
    }

    /** @return list<float> */
    private function gathered(int $season): array
    {
        if (!isset($this->gathered[$season])) {
            $sum = 0.0;
            $days = [];
            for ($i = 0; $i < 365; ++$i) {
                $day = $this->firstDay($season)->modify("+$i days");
                $record = $this->records[CalendarDay::iso($day)] ?? null;
                $days[] = $sum +=
                    null === $record
                        ? self::ofClimate($this->climate, DayOfYear::on($day))
                        : DegreeDays::SingleSine->kelvinDays($record->least, $record->greatest, self::base());
            }
            $this->gathered[$season] = $days;
        }

        return $this->gathered[$season];
    }

    private static function ofClimate(Climate $climate, DayOfYear $day): float
    {
        return DegreeDays::SingleSine->kelvinDays($climate->least($day), $climate->greatest($day), self::base());
    }

    private static function base(): Temperature
    {
        return Temperature::celsius(self::BASE);
    }

    private function start(): DayOfYear
    {
        return DayOfYear::of($this->climate->place->latitudeDegrees < 0 ? 182 : 1);
    }

    private function firstDay(int $season): \DateTimeImmutable
    {
        return CalendarDay::parse(\sprintf('%04d-%s', $season, $this->start()));
    }
}
