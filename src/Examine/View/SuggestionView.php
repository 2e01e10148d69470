<?php

declare(strict_types=1);

namespace App\Examine\View;

/** A look worth taking next. */
final readonly class SuggestionView
{
    public function __construct(public string $character, public string $organ, public string $label, public float $worth, public bool $required, public string $because)
    {
    }
}
