<?php

declare(strict_types=1);

namespace App\Hazards\View;

use App\Trees\TreeDanger;

/** A tree that stood near, and what it can do to people. */
final readonly class NearTreeView
{
    /**
     * @param string           $id          of the tree
     * @param string           $tag         tag on the tree
     * @param string           $whereabouts how it is found again; may be empty
     * @param string           $kind        common name; empty: nobody has settled it, or it may not be told now
     * @param string           $name        scientific name; empty with it
     * @param string           $since       the day on which that kind was held, YYYY-MM-DD; empty where none is
     * @param float|null       $metres      from where it happened; null where nobody knows
     * @param list<HazardView> $hazards     to people
     */
    public function __construct(
        public string $id,
        public string $tag,
        public string $whereabouts,
        public string $kind,
        public string $name,
        public string $since,
        public TreeDanger $danger,
        public ?float $metres,
        public array $hazards,
    ) {
    }
}
