<?php

declare(strict_types=1);

namespace App\Species\View;

/** How often a state occurs in a taxon. */
final readonly class StateShareView
{
    public function __construct(public string $state, public string $label, public string $drawing, public float $share)
    {
    }
}
