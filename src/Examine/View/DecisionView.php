<?php

declare(strict_types=1);

namespace App\Examine\View;

/** A decision that was put on record. */
final readonly class DecisionView
{
    public function __construct(public string $taxon, public string $part, public string $answer, public string $because, public string $decidedOn, public ?string $validUntil)
    {
    }
}
