<?php

declare(strict_types=1);

namespace Hylognosis\Range;

/** By what a kind gets about. */
enum SpreadWay: string
{
    case Birds = 'birds';
    case Wind = 'wind';
    case Water = 'water';
    case Roots = 'roots';
    case Stumps = 'stumps';
    case Garden = 'garden';
    case Boots = 'boots';
}
