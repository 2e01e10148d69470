<?php

declare(strict_types=1);

namespace App\Examine;

use App\Harvest\View\HarvestView;
use App\Trees\Site;

/** What was taken, as far as an examination must know of it. */
interface Takings
{
    /** How often a part of a taxon was taken at a site in a year; quotas count it. */
    public function at(Site $site, string $taxon, string $part, int $year): int;

    /** @return list<HarvestView> under the decisions of an examination, newest first */
    public function under(ExaminationRecord $examination): array;
}
