<?php

declare(strict_types=1);

namespace App\Season\View;

use Hylognosis\Measure\CalendarDay;
use Hylognosis\Season\ExpectedDay;

/** A day that is expected, and how sure. */
final readonly class DayView
{
    /**
     * @param string $likely   day, YYYY-MM-DD
     * @param string $from80   it lies between these eight times of ten
     * @param string $to80     the same
     * @param string $from95   it lies between these nineteen times of twenty
     * @param string $to95     the same
     * @param float  $spread   standard deviation in days
     */
    public function __construct(
        public string $likely,
        public string $from80,
        public string $to80,
        public string $from95,
        public string $to95,
        public float $spread,
    ) {
    }

    public static function of(ExpectedDay $day): self
    {
        [$from80, $to80] = $day->eighty();
        [$from95, $to95] = $day->ninetyFive();

        return new self(
            CalendarDay::iso($day->likely),
            CalendarDay::iso($from80),
            CalendarDay::iso($to80),
            CalendarDay::iso($from95),
            CalendarDay::iso($to95),
            round($day->spread, 2),
        );
    }
}
