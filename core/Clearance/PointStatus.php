<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

enum PointStatus: string
{
    case Met = 'met';
    /** Not yet shown; a further look or step can close it. */
    case Open = 'open';
    /** Shown to be otherwise; more of the same will not mend it. */
    case Broken = 'broken';
}
