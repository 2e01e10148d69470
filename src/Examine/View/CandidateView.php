<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Flora\Severity;

/** A taxon with its probability. */
final readonly class CandidateView
{
    /** @param list<EvidenceView> $evidence against the rival, strongest first */
    public function __construct(public string $taxon, public string $name, public string $commonName, public Severity $severity, public float $posterior, public string $rival, public array $evidence)
    {
    }
}
