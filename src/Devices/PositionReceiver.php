<?php

declare(strict_types=1);

namespace App\Devices;

/** A receiver that tells where it is. */
interface PositionReceiver
{
    /** @return list<string> what it has sent since it was last asked: sentences of NMEA 0183, some of them damaged maybe */
    public function sentences(string $person): array;

    /** Whether it is none, but plays one. */
    public function isStandIn(): bool;
}
