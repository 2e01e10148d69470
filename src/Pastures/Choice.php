<?php

declare(strict_types=1);

namespace App\Pastures;

/** What is to become of a tree at a pasture. */
enum Choice: string
{
    case Keep = 'keep';
    case Watch = 'watch';
    case Fence = 'fence';
    case Fell = 'fell';
}
