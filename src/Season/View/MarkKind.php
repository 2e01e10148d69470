<?php

declare(strict_types=1);

namespace App\Season\View;

/** What can happen to a tree. */
enum MarkKind: string
{
    case Tagged = 'tagged';
    case Look = 'look';
    case Leafing = 'leafing';
    case Flowering = 'flowering';
    case Fruiting = 'fruiting';
    case Harvest = 'harvest';
    case Measure = 'measure';
    case Picture = 'picture';
    case Gone = 'gone';
}
