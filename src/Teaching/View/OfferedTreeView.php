<?php

declare(strict_types=1);

namespace App\Teaching\View;

use App\Trees\TreeDanger;

/** A tree of the place, and what it is good for on the day. */
final readonly class OfferedTreeView
{
    /**
     * @param string $id its id
     * @param string $tag its tag
     * @param string $whereabouts where it stands
     * @param string $kind common name; empty where it is not settled, or not to be told
     * @param bool $mayTouch by what is on record of it
     * @param list<StationLookView> $looks what it shows well, what the group confuses first
     */
    public function __construct(
        public string $id,
        public string $tag,
        public string $whereabouts,
        public string $kind,
        public bool $mayTouch,
        public TreeDanger $danger,
        public array $looks,
    ) {
    }
}
