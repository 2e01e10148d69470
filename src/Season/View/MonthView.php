<?php

declare(strict_types=1);

namespace App\Season\View;

/** What a taxon shows in a month. */
final readonly class MonthView
{
    /**
     * @param int          $month  1 to 12
     * @param list<string> $phases phenophases it shows in the middle of the month
     */
    public function __construct(public int $month, public array $phases)
    {
    }
}
