<?php

declare(strict_types=1);

namespace App\Species\View;

/** A term, defined for a beginner. */
final readonly class TermView
{
    public function __construct(public string $term, public string $definition, public string $drawing)
    {
    }
}
