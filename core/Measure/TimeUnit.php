<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/** Units in which a time is told. */
enum TimeUnit: string
{
    case Minutes = 'min';
    case Hours = 'h';
    case Days = 'd';
    case Weeks = 'weeks';
    case Months = 'months';

    /** A month is 30 days here: nobody keeps jam by the calendar. */
    public function inSeconds(): int
    {
        return match ($this) {
            self::Minutes => 60,
            self::Hours => 3600,
            self::Days => 86_400,
            self::Weeks => 604_800,
            self::Months => 2_592_000,
        };
    }
}
