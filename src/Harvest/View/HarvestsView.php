<?php

declare(strict_types=1);

namespace App\Harvest\View;

use App\Harvest\GroupBy;

/** What was taken, in groups and one by one. */
final readonly class HarvestsView
{
    /**
     * @param GroupBy                $by       what they are put together by
     * @param list<HarvestGroupView> $groups   those taken most often first
     * @param list<HarvestView>      $harvests newest first, a hundred at the most
     */
    public function __construct(public GroupBy $by, public array $groups, public array $harvests)
    {
    }
}
