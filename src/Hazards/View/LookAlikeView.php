<?php

declare(strict_types=1);

namespace App\Hazards\View;

/** A taxon that gets taken for the wanted one. */
final readonly class LookAlikeView
{
    public function __construct(public string $taxon, public string $commonName, public string $name, public string $severity, public string $note)
    {
    }
}
