<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Flora\Flora;
use Hylognosis\Identification\Candidate;

/** A taxon with its probability. */
final readonly class CandidateView
{
    /**
     * @param string $taxon      id of the taxon
     * @param string $name       scientific name
     * @param string $commonName common name
     * @param float  $posterior  probability given what was scored, 0 to 1
     */
    public function __construct(
        public string $taxon,
        public string $name,
        public string $commonName,
        public float $posterior,
    ) {
    }

    public static function of(Candidate $candidate, Flora $flora): self
    {
        $taxon = $flora->taxon($candidate->taxon);

        return new self($taxon->id, $taxon->name, $taxon->commonName(), $candidate->posterior);
    }
}
