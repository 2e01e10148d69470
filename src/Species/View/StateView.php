<?php

declare(strict_types=1);

namespace App\Species\View;

/** One value a character can take. */
final readonly class StateView
{
    public function __construct(public string $id, public string $label, public string $definition, public string $drawing, public bool $absence)
    {
    }
}
