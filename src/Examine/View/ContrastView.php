<?php

declare(strict_types=1);

namespace App\Examine\View;

/** What was seen, weighed for one taxon against another. */
final readonly class ContrastView
{
    /**
     * @param string             $for      id of the candidate
     * @param string             $against  id of the taxon it is weighed against
     * @param float              $decibans the sum of the evidence: ten times the decimal logarithm of the odds between
     *                                     the two
     * @param list<EvidenceView> $evidence strongest first
     */
    public function __construct(
        public string $for,
        public string $against,
        public float $decibans,
        public array $evidence,
    ) {
    }
}
