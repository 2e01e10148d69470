<?php

declare(strict_types=1);

namespace App\Storm\View;

/** It blew hard at a place, and nobody has gone round since. */
final readonly class GaleView
{
    /**
     * @param string $siteId  id of the place
     * @param string $site    name of the place
     * @param string $day     YYYY-MM-DD
     * @param float  $gust    metres per second
     * @param int    $trees   that have to be gone to
     * @param int    $seconds the walk takes
     */
    public function __construct(
        public string $siteId,
        public string $site,
        public string $day,
        public float $gust,
        public int $trees,
        public int $seconds,
    ) {
    }
}
