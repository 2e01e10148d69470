<?php

declare(strict_types=1);

namespace App\Trees;

/** Which way the slope looks. */
enum Exposure: string
{
    case Unknown = '';
    case Flat = 'flat';
    case North = 'n';
    case NorthEast = 'ne';
    case East = 'e';
    case SouthEast = 'se';
    case South = 's';
    case SouthWest = 'sw';
    case West = 'w';
    case NorthWest = 'nw';
}
