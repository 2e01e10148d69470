<?php

declare(strict_types=1);

namespace App\Species\View;

/** A term, defined for a beginner. */
final readonly class TermView
{
    /**
     * @param string $term       the word
     * @param string $definition what the word means
     * @param string $drawing    key of its drawing; null where there is none
     */
    public function __construct(public string $term, public string $definition, public string $drawing)
    {
    }
}
