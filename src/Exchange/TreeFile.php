<?php

declare(strict_types=1);

namespace App\Exchange;

/** What a file tells of places and trees. */
final readonly class TreeFile
{
    /**
     * @param string         $format in words
     * @param list<PlaceRow> $places
     * @param list<TreeRow>  $trees
     */
    public function __construct(public string $format, public array $places, public array $trees)
    {
    }
}
