<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Clearance\Answer;

/** A decision as it was taken, with all it leaned on. */
final readonly class DecisionPageView
{
    /**
     * @param string               $id          its id
     * @param int|null             $number      in the chain; null: from before decisions were chained
     * @param string               $hash        SHA-256 of all that was recorded; empty before they were chained
     * @param string               $previous    hash of the one before
     * @param string               $fault       why it cannot be relied on; empty where it is what was recorded
     * @param string               $decidedOn   day, YYYY-MM-DD
     * @param string|null          $validUntil  last day it holds, YYYY-MM-DD
     * @param string               $decidedBy   who signed, or took
     * @param string               $examination id of the examination
     * @param string               $examiner    who looked
     * @param string               $tree        tag on the tree now
     * @param string               $place       name of the place
     * @param string               $commonName  common name of what was hoped for
     * @param string               $name        its scientific name
     * @param string               $part        part hoped for
     * @param string               $because     the nearest reason, in a sentence
     * @param float                $posterior   of the kind hoped for, 0 to 1
     * @param list<PointView>      $points      the nine points as they stood
     * @param list<ScoreLineView>  $scores      what was scored
     * @param string               $flora       title of the flora
     * @param string               $edition     its edition
     * @param string               $floraHash   its hash
     * @param bool                 $editionKept that edition is kept, whole and unchanged
     * @param string               $engine      version of the engine, with a hash of its source; empty: not recorded
     * @param Answer|null          $again       what today's engine says of the same inputs with the same edition; null
     *                                          where it cannot be asked
     * @param array<string, mixed> $inputs      all the engine was told, as an examination document
     */
    public function __construct(
        public string $id,
        public ?int $number,
        public string $hash,
        public string $previous,
        public string $fault,
        public string $decidedOn,
        public ?string $validUntil,
        public string $decidedBy,
        public string $examination,
        public string $examiner,
        public string $tree,
        public string $place,
        public string $commonName,
        public string $name,
        public string $part,
        public Answer $answer,
        public string $because,
        public float $posterior,
        public array $points,
        public array $scores,
        public string $flora,
        public string $edition,
        public string $floraHash,
        public bool $editionKept,
        public string $engine,
        public ?Answer $again,
        public array $inputs,
    ) {
    }
}
