<?php

declare(strict_types=1);

namespace App\Trees\View;

/** A tag a tree had before. */
final readonly class FormerTagView
{
    /**
     * @param string $tag   the tag
     * @param string $until day it was given up, YYYY-MM-DD
     */
    public function __construct(public string $tag, public string $until)
    {
    }
}
