<?php

declare(strict_types=1);

namespace App\Season\View;

/** A part that stands in its window. */
final readonly class InWindowView
{
    /**
     * @param string $taxon      id of the taxon
     * @param string $name       scientific name
     * @param string $commonName common name
     * @param string $part       id of the part
     * @param string $partLabel  name of the part
     * @param string $window     window of the year, in words
     * @param int    $daysLeft   days until its window shuts, 0 on the last
     * @param list<string> $trees  tags of our own held to be of that kind, a few
     * @param list<string> $spent  places with such trees where it was taken as often as may be this year
     */
    public function __construct(
        public string $taxon,
        public string $name,
        public string $commonName,
        public string $part,
        public string $partLabel,
        public string $window,
        public int $daysLeft,
        public array $trees,
        public array $spent,
    ) {
    }
}
