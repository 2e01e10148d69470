<?php

declare(strict_types=1);

namespace Hylognosis\Stock;

/** In what state a plant was eaten: what falls in a storm is fresh, and wilts. */
enum PlantState: string
{
    case Fresh = 'fresh';
    case Wilted = 'wilted';
    case Dry = 'dry';
    case Ripe = 'ripe';
}
