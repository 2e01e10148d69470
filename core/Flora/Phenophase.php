<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** What a tree of a species shows at a time of year. */
enum Phenophase: string
{
    case Leafless = 'leafless';
    case Leafing = 'leafing';
    case InLeaf = 'in-leaf';
    case Flowering = 'flowering';
    case Fruiting = 'fruiting';
}
