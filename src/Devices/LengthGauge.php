<?php

declare(strict_types=1);

namespace App\Devices;

/** A caliper or a tape that sends what it reads. */
interface LengthGauge
{
    /** @return string as it comes over the line: a number and a unit, `   23.41 mm`; empty where nothing was sent */
    public function reading(string $person): string;

    public function isStandIn(): bool;
}
