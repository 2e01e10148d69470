<?php

declare(strict_types=1);

namespace App\Reckoning\View;

/** What was reckoned: figures, each under its own name and in its own unit. */
final readonly class FiguresFoundView
{
    /** @param list<FigureFoundView> $figures in the order in which they are told */
    public function __construct(public array $figures)
    {
    }
}
