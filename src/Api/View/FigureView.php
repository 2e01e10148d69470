<?php

declare(strict_types=1);

namespace App\Api\View;

/** A figure of a taxon beside its description. */
final readonly class FigureView
{
    public function __construct(public string $kind, public string $label, public string $range, public string $unit)
    {
    }
}
