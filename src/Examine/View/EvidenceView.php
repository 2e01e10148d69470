<?php

declare(strict_types=1);

namespace App\Examine\View;

/** What one score says for a candidate against another. */
final readonly class EvidenceView
{
    public function __construct(public string $character, public string $label, public string $seen, public float $decibans)
    {
    }
}
