<?php

declare(strict_types=1);

namespace App\Batches\View;

use App\Batches\BatchDoubt;

/** A harvest something is made of. */
final readonly class SourceView
{
    /**
     * @param string     $harvest     id of the harvest
     * @param float      $share       of it, percent; of one that could be used: what is left of it
     * @param string     $amount      of the harvest, in words
     * @param string     $takenOn     day, YYYY-MM-DD
     * @param string     $takenBy     who took it
     * @param string     $taxon       id of the kind
     * @param string     $name        its common name
     * @param string     $latin       its scientific name
     * @param string     $part        id of the part
     * @param string     $label       what the part is called
     * @param string     $tree        id of the tree
     * @param string     $tag         tag of the tree
     * @param string     $site        name of the place
     * @param string     $decision    id of the decision it was cleared by
     * @param string     $decidedOn   day, YYYY-MM-DD
     * @param string     $examination id of the examination
     * @param string     $examiner    who examined
     * @param BatchDoubt|null $doubt       why nothing of it may be labelled
     */
    public function __construct(
        public string $harvest,
        public float $share,
        public string $amount,
        public string $takenOn,
        public string $takenBy,
        public string $taxon,
        public string $name,
        public string $latin,
        public string $part,
        public string $label,
        public string $tree,
        public string $tag,
        public string $site,
        public string $decision,
        public string $decidedOn,
        public string $examination,
        public string $examiner,
        public ?BatchDoubt $doubt,
    ) {
    }
}
