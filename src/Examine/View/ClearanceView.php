<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Clearance\Answer;
use Hylognosis\Clearance\Clearance;
use Hylognosis\Clearance\PointReport;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Wording\English;

/** The answer of the gate with all nine points. */
final readonly class ClearanceView
{
    /**
     * @param string          $because the nearest reason, in a sentence
     * @param string|null     $until   last day it holds, YYYY-MM-DD; only where it is cleared
     * @param string          $nearest id of the point that is nearest to being met; empty where all are
     * @param list<PointView> $points  all nine, in their order
     */
    public function __construct(
        public Answer $answer,
        public string $because,
        public ?string $until,
        public string $nearest,
        public array $points,
    ) {
    }

    public static function of(Clearance $clearance, English $words): self
    {
        return new self(
            $clearance->answer,
            $words->sentence($clearance->because),
            null === $clearance->until ? null : CalendarDay::iso($clearance->until),
            $clearance->nearest()->point ?? '',
            array_map(static fn (PointReport $point): PointView => PointView::of($point, $words), $clearance->points),
        );
    }
}
