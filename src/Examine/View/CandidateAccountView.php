<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Flora\Severity;

/** A taxon with its probability, and what speaks for it. */
final readonly class CandidateAccountView
{
    /**
     * @param string             $taxon      id of the taxon
     * @param string             $name       scientific name
     * @param string             $commonName common name
     * @param float              $posterior  probability given what was scored, 0 to 1
     * @param string             $rival      common name of the taxon it is weighed against
     * @param list<EvidenceView> $evidence   against the rival, strongest first
     */
    public function __construct(
        public string $taxon,
        public string $name,
        public string $commonName,
        public Severity $severity,
        public float $posterior,
        public string $rival,
        public array $evidence,
    ) {
    }
}
