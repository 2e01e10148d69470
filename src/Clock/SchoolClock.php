<?php

declare(strict_types=1);

namespace App\Clock;

use Psr\Clock\ClockInterface;

/** The day the school takes for today. */
interface SchoolClock extends ClockInterface
{
    /** Midnight at the start of today. */
    public function today(): \DateTimeImmutable;
}
