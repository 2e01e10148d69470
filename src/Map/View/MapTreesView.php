<?php

declare(strict_types=1);

namespace App\Map\View;

/** The trees of a selection that have a position. */
final readonly class MapTreesView
{
    /**
     * @param list<TreeDotView> $trees in the order of their tags
     * @param int               $total how many trees answer, with a position or without
     * @param list<PlaceView>   $places the places, with their boundaries
     */
    public function __construct(public array $trees, public int $total, public array $places)
    {
    }
}
