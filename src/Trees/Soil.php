<?php

declare(strict_types=1);

namespace App\Trees;

/** What the ground is like. */
enum Soil: string
{
    case Unknown = '';
    case Acid = 'acid';
    case Neutral = 'neutral';
    case Lime = 'lime';
}
