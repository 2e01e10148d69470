<?php

declare(strict_types=1);

namespace App\Species\View;

/** What one person said of a stated never. */
final readonly class ReviewView
{
    public function __construct(public string $who, public string $on, public string $verdict, public string $note)
    {
    }
}
