<?php

declare(strict_types=1);

namespace App\Examine\View;

/** What one score says for a candidate against another. */
final readonly class EvidenceView
{
    /**
     * @param string $character id of the character
     * @param string $label     name of the character
     * @param string $seen      what was seen, in words
     * @param float  $decibans  its weight: ten times the decimal logarithm of the odds; above 0 for the candidate
     */
    public function __construct(
        public string $character,
        public string $label,
        public string $seen,
        public float $decibans,
    ) {
    }
}
