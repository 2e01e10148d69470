<?php

declare(strict_types=1);

namespace App\Learning\View;

/** The school’s readings, counted, and what was proposed of them. */
final readonly class SchoolRatesView
{
    /**
     * @param list<CountedRateView>  $rates      the most misread first
     * @param int                    $people     whose readings they are
     * @param int                    $leastLooks so many looks it takes before a rate is proposed
     * @param list<RateProposalView> $proposals  the last first
     */
    public function __construct(
        public array $rates,
        public int $people,
        public int $leastLooks,
        public array $proposals,
    ) {
    }
}
