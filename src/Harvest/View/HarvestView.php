<?php

declare(strict_types=1);

namespace App\Harvest\View;

/** What was taken. */
final readonly class HarvestView
{
    public function __construct(
        public string $id, public string $takenOn, public string $takenBy, public string $flora, public string $taxon, public string $commonName, public string $part,
        public string $amount, public string $ripeness, public int $shareLeft, public string $note, public string $specimen, public string $site, public string $examination,
    ) {
    }
}
