<?php

declare(strict_types=1);

namespace App\Learning\View;

/** Rates that were proposed for the next edition. */
final readonly class RateProposalView
{
    /**
     * @param string $id     its id
     * @param string $by     name of who proposed them
     * @param string $at     RFC 3339
     * @param int    $people whose readings were counted, without names
     * @param int    $rates  characters of which a rate is proposed
     */
    public function __construct(
        public string $id,
        public string $by,
        public string $at,
        public int $people,
        public int $rates,
    ) {
    }
}
