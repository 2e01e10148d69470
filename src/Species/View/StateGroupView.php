<?php

declare(strict_types=1);

namespace App\Species\View;

/** A coarser word for several states. */
final readonly class StateGroupView
{
    /** @param list<string> $states ids */
    public function __construct(public string $id, public string $label, public string $definition, public array $states)
    {
    }
}
