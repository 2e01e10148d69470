<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Flora\Organ;

/** A look worth taking next. */
final readonly class SuggestionView
{
    public function __construct(public string $character, public Organ $organ, public string $label, public float $worth, public bool $required, public string $because)
    {
    }
}
