<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Clearance\Answer;

/** A decision that was put on record. */
final readonly class DecisionView
{
    public function __construct(public string $taxon, public string $part, public Answer $answer, public string $because, public string $decidedOn, public ?string $validUntil)
    {
    }
}
