<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Clearance\PointStatus;

/** One of the nine points. */
final readonly class PointView
{
    /**
     * @param list<PointItemView> $items
     * @param string|null         $when  the first day on which it can be changed, in words; null: today, or it is no matter of season
     */
    public function __construct(public string $point, public string $title, public PointStatus $status, public string $because, public string $change, public array $items, public ?string $when)
    {
    }
}
