<?php

declare(strict_types=1);

namespace App\Trees;

use App\Clock\SchoolClock;

/** What may not be taken any more this year, place by place: to be told before somebody sets out for it. */
final readonly class SpentQuotas
{
    public function __construct(private TakenHere $taken, private SchoolClock $clock)
    {
    }

    /**
     * @param iterable<Site> $sites
     *
     * @return array<string, array<string, true>> site → "taxon/part"
     */
    public function at(iterable $sites): array
    {
        $year = (int) $this->clock->today()->format('Y');
        $spent = [];
        foreach ($sites as $site) {
            foreach ($site->quotas as $what => $allowed) {
                [$taxon, $part] = explode('/', $what, 2);
                if ($this->taken->at($site, $taxon, $part, $year) >= $allowed) {
                    $spent[$site->id][$what] = true;
                }
            }
        }

        return $spent;
    }
}
