<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Clearance\Answer;
use Hylognosis\Clearance\Clearance;
use Hylognosis\Clearance\PointReport;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Wording\English;

/** The answer of the gate in one glance; the points behind it are asked for apart. */
final readonly class GateView
{
    /**
     * @param string      $because the nearest reason, in a sentence
     * @param string|null $until   last day it holds, YYYY-MM-DD; only where it is cleared
     * @param string      $nearest id of the point that is nearest to being met; empty where all are
     * @param int         $met     points met, of nine
     */
    public function __construct(
        public Answer $answer,
        public string $because,
        public ?string $until,
        public string $nearest,
        public int $met,
    ) {
    }

    public static function of(Clearance $clearance, English $words): self
    {
        return new self(
            $clearance->answer,
            $words->sentence($clearance->because),
            null === $clearance->until ? null : CalendarDay::iso($clearance->until),
            $clearance->nearest()->point ?? '',
            \count(array_filter($clearance->points, static fn (PointReport $point): bool => $point->isMet())),
        );
    }
}
