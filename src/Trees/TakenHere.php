<?php

declare(strict_types=1);

namespace App\Trees;

/** How often something was taken at a place, as far as its quotas must know. */
interface TakenHere
{
    /** How often a part of a taxon was taken at a site in a year; quotas count it. */
    public function at(Site $site, string $taxon, string $part, int $year): int;
}
