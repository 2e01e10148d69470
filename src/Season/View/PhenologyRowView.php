<?php

declare(strict_types=1);

namespace App\Season\View;

use Hylognosis\Season\SeasonalEvent;

/** An event of a kind at a place, over the years. */
final readonly class PhenologyRowView
{
    /**
     * @param string               $taxon      id of the kind
     * @param string               $commonName its common name
     * @param string               $site       name of the place
     * @param SeasonalEvent        $event      which
     * @param string               $words      in words
     * @param list<string>  $days        the mean day of each year, YYYY-MM-DD
     * @param float|null           $trend      days later per ten years; null with fewer than three years
     * @param float|null           $trendSpread standard error of that
     */
    public function __construct(
        public string $taxon,
        public string $commonName,
        public string $site,
        public SeasonalEvent $event,
        public string $words,
        public array $days,
        public ?float $trend,
        public ?float $trendSpread,
    ) {
    }
}
