<?php

declare(strict_types=1);

namespace App\Season\View;

/** A part that stands in its window. */
final readonly class InWindowView
{
    public function __construct(public string $taxon, public string $name, public string $commonName, public string $part, public string $partLabel, public string $window, public int $daysLeft)
    {
    }
}
