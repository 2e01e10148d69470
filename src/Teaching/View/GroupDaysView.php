<?php

declare(strict_types=1);

namespace App\Teaching\View;

/** Days with groups, and what can be done on them. */
final readonly class GroupDaysView
{
    /**
     * @param list<GroupDayRowView> $days the last first
     * @param list<ActivityView> $activities in the order of the file
     * @param bool $mayPlan the reader is an instructor
     */
    public function __construct(
        public array $days,
        public array $activities,
        public bool $mayPlan,
    ) {
    }
}
