<?php

declare(strict_types=1);

namespace App\Teaching\View;

/** A day with a group. */
final readonly class GroupDayView
{
    /**
     * @param string $id its id
     * @param string $day YYYY-MM-DD
     * @param string $siteId where
     * @param string $site its name
     * @param string $name which group
     * @param string $by who planned it
     * @param int $guests how many others come
     * @param list<ParticipantView> $people who comes along
     * @param list<StationView> $stations in the order they are gone round
     * @param list<string> $handsOff what must not be touched there
     * @param string $learnt what was learnt
     * @param list<NextView> $next whom to ask what next time
     * @param bool $mayChange the reader may
     */
    public function __construct(
        public string $id,
        public string $day,
        public string $siteId,
        public string $site,
        public string $name,
        public string $by,
        public int $guests,
        public array $people,
        public array $stations,
        public array $handsOff,
        public string $learnt,
        public array $next,
        public bool $mayChange,
    ) {
    }
}
