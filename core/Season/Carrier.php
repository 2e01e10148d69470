<?php

declare(strict_types=1);

namespace Hylognosis\Season;

/** What carries the pollen from tree to tree. */
enum Carrier: string
{
    case Insects = 'insects';
    case Wind = 'wind';
}
