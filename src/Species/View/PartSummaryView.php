<?php

declare(strict_types=1);

namespace App\Species\View;

/** A part of a taxon, in short. */
final readonly class PartSummaryView
{
    public function __construct(public string $id, public string $label, public string $harmful, public string $window)
    {
    }
}
