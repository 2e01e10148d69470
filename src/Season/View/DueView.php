<?php

declare(strict_types=1);

namespace App\Season\View;

/** Something that is likely open on own trees, or is to be looked at now for later. */
final readonly class DueView
{
    /**
     * @param string       $siteId     id of the place
     * @param string       $site       its name
     * @param string       $taxon      id of the kind
     * @param string       $commonName its common name
     * @param string       $partId     id of the part
     * @param string       $part       what it is called
     * @param bool         $look       to be looked at now, and taken later
     * @param string       $until      last likely day, YYYY-MM-DD
     * @param int          $daysLeft   until then
     * @param list<string> $trees      tags
     * @param bool         $spent      as often as may be it was taken there this year
     */
    public function __construct(
        public string $siteId,
        public string $site,
        public string $taxon,
        public string $commonName,
        public string $partId,
        public string $part,
        public bool $look,
        public string $until,
        public int $daysLeft,
        public array $trees,
        public bool $spent = false,
    ) {
    }

    public function spent(): self
    {
        return new self(
            $this->siteId,
            $this->site,
            $this->taxon,
            $this->commonName,
            $this->partId,
            $this->part,
            $this->look,
            $this->until,
            $this->daysLeft,
            $this->trees,
            true,
        );
    }
}
