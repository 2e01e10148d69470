<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Clearance\PointItem;
use Hylognosis\Clearance\PointReport;
use Hylognosis\Clearance\PointStatus;
use Hylognosis\Wording\English;

/** One of the nine points. */
final readonly class PointView
{
    /**
     * @param string              $point   id of the point
     * @param string              $title   the point in words
     * @param string              $because why, in a sentence
     * @param string              $change  what would change it, in a sentence; empty where it is met
     * @param list<PointItemView> $items   a line for each feature, danger or condition
     * @param string|null         $when    the first day on which it can be changed, in words; null: today, or it is no
     *                                     matter of season
     */
    public function __construct(
        public string $point,
        public string $title,
        public PointStatus $status,
        public string $because,
        public string $change,
        public array $items,
        public ?string $when,
    ) {
    }

    public static function of(PointReport $point, English $words): self
    {
        return new self(
            $point->point,
            $words->title($point->point),
            $point->status,
            $words->sentence($point->because),
            null === $point->change ? '' : $words->sentence($point->change),
            array_map(
                static fn (PointItem $i): PointItemView => new PointItemView(
                    $i->about,
                    $i->subject,
                    $words->label($i),
                    $i->status,
                    $i->detail->code,
                    $words->sentence($i->detail),
                ),
                $point->items,
            ),
            $point->when?->words(),
        );
    }
}
