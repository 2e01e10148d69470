<?php

declare(strict_types=1);

namespace Hylognosis\Season;

/** Somebody saw a seasonal event on a day. */
final readonly class Sighting
{
    /**
     * @param string             $kind  id of the taxon
     * @param string             $site  id of the place
     * @param string             $tree  id of the tree
     * @param \DateTimeImmutable $day   midnight, universal time ({@see \Hylognosis\Measure\CalendarDay})
     */
    public function __construct(
        public string $kind,
        public SeasonalEvent $event,
        public string $site,
        public string $tree,
        public \DateTimeImmutable $day,
    ) {
    }
}
