<?php

declare(strict_types=1);

namespace Hylognosis\Storm;

use Hylognosis\Position\Area;

/** A pasture and where one goes in. */
final readonly class FencedGround
{
    /** @param array{}|array{float, float} $gate latitude and longitude; empty: nobody has said, and it is climbed */
    public function __construct(public Area $area, public array $gate)
    {
    }
}
