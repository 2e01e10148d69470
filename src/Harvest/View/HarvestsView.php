<?php

declare(strict_types=1);

namespace App\Harvest\View;

/** What was taken, in groups and one by one. */
final readonly class HarvestsView
{
    /**
     * @param list<HarvestGroupView> $groups   those taken most often first
     * @param list<HarvestView>      $harvests newest first, a hundred at the most
     */
    public function __construct(public array $groups, public array $harvests)
    {
    }
}
