<?php

declare(strict_types=1);

namespace App\Examine;

use App\Harvest\View\HarvestView;
use App\Trees\TakenHere;

/** What was taken, as far as an examination must know of it. */
interface Takings extends TakenHere
{
    /** @return list<HarvestView> under the decisions of an examination, newest first */
    public function under(ExaminationRecord $examination): array;
}
