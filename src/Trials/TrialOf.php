<?php

declare(strict_types=1);

namespace App\Trials;

/** What was tried. */
enum TrialOf: string
{
    case Tinder = 'tinder';
    case Fire = 'fire';
    case Cord = 'cord';
    case Ink = 'ink';
    case Bending = 'bending';
}
