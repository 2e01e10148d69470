<?php

declare(strict_types=1);

namespace App\Species\View;

/** A part of a taxon, in short. */
final readonly class PartSummaryView
{
    /**
     * @param string $id      its id
     * @param string $label   name people read
     * @param string $harmful why nobody may take it; empty where it may be taken
     * @param string $window  window of the year, in words
     */
    public function __construct(
        public string $id,
        public string $label,
        public string $harmful,
        public string $window,
    ) {
    }
}
