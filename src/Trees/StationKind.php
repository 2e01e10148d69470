<?php

declare(strict_types=1);

namespace App\Trees;

/** Where the weather of a place comes from. */
enum StationKind: string
{
    case None = '';
    /** Days that were brought in from a file. */
    case Records = 'records';
    /** One that plays a station, for practice: worth nothing in a real wood. */
    case StandIn = 'stand-in';
}
