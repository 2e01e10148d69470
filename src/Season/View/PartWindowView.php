<?php

declare(strict_types=1);

namespace App\Season\View;

/** When a part may be taken at a place. */
final readonly class PartWindowView
{
    /**
     * @param string          $part  id of the part
     * @param string          $label what it is called
     * @param WindowView|null $next  the one that is open, or comes next; null: not at this place
     */
    public function __construct(public string $part, public string $label, public ?WindowView $next)
    {
    }
}
