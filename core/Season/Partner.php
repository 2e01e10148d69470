<?php

declare(strict_types=1);

namespace Hylognosis\Season;

/** What second tree a kind wants near. */
enum Partner: string
{
    /** Male and female flowers stand on separate trees. */
    case OtherSex = 'other-sex';
    /** Its own pollen does not take, or a lone tree bears empty fruit. */
    case Another = 'another';
    /** It bears alone, and better with another. */
    case Better = 'better';
}
