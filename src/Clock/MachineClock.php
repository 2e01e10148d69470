<?php

declare(strict_types=1);

namespace App\Clock;

use Hylognosis\Measure\CalendarDay;

/** What the clock of this machine says. */
final readonly class MachineClock implements SchoolClock
{
    public function now(): \DateTimeImmutable
    {
        return new \DateTimeImmutable();
    }

    public function today(): \DateTimeImmutable
    {
        return CalendarDay::of($this->now());
    }
}
