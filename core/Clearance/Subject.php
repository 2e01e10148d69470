<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

/** What kind of thing a line under a point is about. */
enum Subject: string
{
    case Character = 'character';
    case Taxon = 'taxon';
    case Condition = 'condition';
    case Window = 'window';
}
