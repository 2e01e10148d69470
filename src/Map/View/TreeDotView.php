<?php

declare(strict_types=1);

namespace App\Map\View;

use App\Trees\TreeDanger;

/** A tree on the map. */
final readonly class TreeDotView
{
    /**
     * @param string     $id        its id
     * @param string     $tag       tag on the tree
     * @param float      $latitude  degrees, north above 0
     * @param float      $longitude degrees, east above 0
     * @param string     $kind      common name of what it is held to be; may be empty
     * @param TreeDanger $danger    what that kind does to a person
     */
    public function __construct(
        public string $id,
        public string $tag,
        public float $latitude,
        public float $longitude,
        public string $kind,
        public TreeDanger $danger,
    ) {
    }
}
