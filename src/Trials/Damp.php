<?php

declare(strict_types=1);

namespace App\Trials;

/** How damp it was, by the hand. */
enum Damp: string
{
    case Dry = 'dry';
    case Damp = 'damp';
    case Wet = 'wet';
}
