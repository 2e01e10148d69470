<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Clearance\Answer;

/** A decision that was put on record. */
final readonly class DecisionView
{
    /**
     * @param string      $id         its id
     * @param string      $taxon      id of the taxon
     * @param string      $part       id of the part
     * @param string      $because    why, in a sentence
     * @param string      $decidedOn  day, YYYY-MM-DD
     * @param string|null $validUntil last day it holds, YYYY-MM-DD; only where it was cleared
     */
    public function __construct(
        public string $id,
        public string $taxon,
        public string $part,
        public Answer $answer,
        public string $because,
        public string $decidedOn,
        public ?string $validUntil,
    ) {
    }
}
