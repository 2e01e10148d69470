<?php

declare(strict_types=1);

namespace App\Trees;

/** How much light gets in. */
enum Light: string
{
    case Unknown = '';
    case Open = 'open';
    case Half = 'half';
    case Shade = 'shade';
}
