<?php

declare(strict_types=1);

namespace Hylognosis\Season;

use Hylognosis\Measure\Length;

/** Whether a kind wants a second tree near to bear fruit, and from how far pollen reaches it. */
final readonly class Pollination
{
    public function __construct(public Partner $partner, public Carrier $carrier, public Length $within)
    {
    }
}
