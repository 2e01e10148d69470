<?php

declare(strict_types=1);

namespace Hylognosis\Stock;

/** Where a tree stands, as seen from a pasture. */
enum Zone: string
{
    case Inside = 'inside';
    /** Outside the fence, and reaches over it if it falls. */
    case WithinReach = 'within-reach';
    case Beyond = 'beyond';
}
