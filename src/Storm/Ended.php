<?php

declare(strict_types=1);

namespace App\Storm;

/** How an alarm ended. There is no other way. */
enum Ended: string
{
    case ClearedAway = 'cleared-away';
    case AnimalsMoved = 'animals-moved';
}
