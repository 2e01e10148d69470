<?php

declare(strict_types=1);

namespace App\Season\View;

/** What a taxon shows in a month. */
final readonly class MonthView
{
    /** @param list<string> $phases */
    public function __construct(public int $month, public array $phases)
    {
    }
}
