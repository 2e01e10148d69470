<?php

declare(strict_types=1);

namespace App\Season\View;

/** The windows of a kind at a place of the school. */
final readonly class PlaceWindowsView
{
    /**
     * @param string               $site  id of the place
     * @param string               $name  of the place
     * @param list<string>         $trees tags of its trees there, of those held to be that kind and not doubted
     * @param list<PartWindowView> $parts in the order of the flora
     */
    public function __construct(public string $site, public string $name, public array $trees, public array $parts)
    {
    }
}
