<?php

declare(strict_types=1);

namespace App\Trees\View;

/** A page of trees. */
final readonly class TreesView
{
    /**
     * @param list<SpecimenView> $trees a page of them, in the order of their tags
     * @param int                $total how many there are in all
     * @param string|null        $next  what to ask for as "after" to get the next page; null on the last one
     */
    public function __construct(public array $trees, public int $total, public ?string $next)
    {
    }
}
