<?php

declare(strict_types=1);

namespace App\Weather\Input;

use App\Trees\StationKind;

/** Where the weather of a place is to come from. */
final readonly class StationInput
{
    public function __construct(public StationKind $station)
    {
    }
}
