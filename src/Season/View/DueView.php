<?php

declare(strict_types=1);

namespace App\Season\View;

/** Something that is likely open on own trees, or is to be looked at now for later. */
final readonly class DueView
{
    /**
     * @param string       $site       name of the place
     * @param string       $taxon      id of the kind
     * @param string       $commonName its common name
     * @param string       $part       what it is called
     * @param bool         $look       to be looked at now, and taken later
     * @param string       $until      last likely day, YYYY-MM-DD
     * @param int          $daysLeft   until then
     * @param list<string> $trees      tags
     */
    public function __construct(
        public string $site,
        public string $taxon,
        public string $commonName,
        public string $part,
        public bool $look,
        public string $until,
        public int $daysLeft,
        public array $trees,
    ) {
    }
}
