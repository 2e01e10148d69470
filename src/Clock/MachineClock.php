<?php

declare(strict_types=1);

namespace App\Clock;

/** What the clock of this machine says. */
final readonly class MachineClock implements SchoolClock
{
    public function now(): \DateTimeImmutable
    {
        return new \DateTimeImmutable();
    }

    public function today(): \DateTimeImmutable
    {
        return new \DateTimeImmutable($this->now()->format('Y-m-d'), new \DateTimeZone('UTC'));
    }
}
