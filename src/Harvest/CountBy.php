<?php

declare(strict_types=1);

namespace App\Harvest;

/** How sound ones were told from others. */
enum CountBy: string
{
    case Nobody = '';
    case Float = 'float';
    case Cut = 'cut';
    case Look = 'look';
}
