<?php

declare(strict_types=1);

namespace App\Storm\View;

/** The walk after one storm. */
final readonly class StormWalkView
{
    /**
     * @param string              $id      of the walk
     * @param string              $siteId  id of the place
     * @param string              $site    name of the place
     * @param string              $blewAt  ISO 8601
     * @param float|null          $gust    metres per second
     * @param string              $by      name of whoever raised it
     * @param int                 $seconds of the whole walk
     * @param list<StormStopView> $stops   in the order of the walk
     * @param int                 $left    stops nobody has looked at
     * @param int                 $alarms  that are open
     */
    public function __construct(
        public string $id,
        public string $siteId,
        public string $site,
        public string $blewAt,
        public ?float $gust,
        public string $by,
        public int $seconds,
        public array $stops,
        public int $left,
        public int $alarms,
    ) {
    }
}
