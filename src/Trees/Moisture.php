<?php

declare(strict_types=1);

namespace App\Trees;

/** How wet the ground is through the year. */
enum Moisture: string
{
    case Unknown = '';
    case Dry = 'dry';
    case Fresh = 'fresh';
    case Wet = 'wet';
}
