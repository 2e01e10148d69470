<?php

declare(strict_types=1);

namespace App\School;

/** How a day is written out. */
enum Dates: string
{
    /** 14 June 2027. */
    case DayFirst = 'day';
    /** June 14, 2027. */
    case MonthFirst = 'month';
    /** 2027-06-14 (ISO 8601). */
    case Iso = 'iso';
}
