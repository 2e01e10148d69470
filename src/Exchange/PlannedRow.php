<?php

declare(strict_types=1);

namespace App\Exchange;

/** What a line of a file would make or change. */
final readonly class PlannedRow
{
    /**
     * @param int          $line    in the file
     * @param string       $what    place, tree, examination, score or harvest
     * @param string       $name    what it is known by
     * @param list<string> $changes what would change, a phrase each; none where it is new
     */
    public function __construct(public int $line, public string $what, public string $name, public array $changes)
    {
    }
}
