<?php

declare(strict_types=1);

namespace App\Harvest;

/** What harvests are put together by. */
enum GroupBy: string
{
    case Kind = 'kind';
    case KindAndYear = 'kind-year';
    case Tree = 'tree';
    case Site = 'site';
    case Person = 'person';
    case Year = 'year';
}
