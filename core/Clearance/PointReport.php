<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Measure\DayOfYear;
use Hylognosis\Reason\Reason;

/** How one point stands, why, and what would change it. */
final readonly class PointReport
{
    /**
     * @param string          $point  id of the point, e.g. `required-features`
     * @param Reason|null     $change what would change it; none where it is met
     * @param list<PointItem> $items
     * @param DayOfYear|null  $when   the first day on which it can be changed at this place; null: today, or it is not
     *                                a matter of season
     */
    public function __construct(
        public string $point,
        public PointStatus $status,
        public Reason $because,
        public ?Reason $change = null,
        public array $items = [],
        public ?DayOfYear $when = null,
    ) {
    }

    public function isMet(): bool
    {
        return PointStatus::Met === $this->status;
    }

    /**
     * The status of a point is that of its worst line.
     *
     * @param list<PointItem> $items
     */
    public static function worst(array $items): PointStatus
    {
        $statuses = array_map(static fn (PointItem $item): PointStatus => $item->status, $items);

        return match (true) {
            \in_array(PointStatus::Broken, $statuses, true) => PointStatus::Broken,
            \in_array(PointStatus::Open, $statuses, true) => PointStatus::Open,
            default => PointStatus::Met,
        };
    }
}
