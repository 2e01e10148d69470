<?php

declare(strict_types=1);

namespace App\Teaching\View;

/** A day with a group, in a line. */
final readonly class GroupDayRowView
{
    /**
     * @param string $id its id
     * @param string $day YYYY-MM-DD
     * @param string $site name of the place
     * @param string $name which group
     * @param int $people how many come
     * @param int $stations how many there are
     */
    public function __construct(
        public string $id,
        public string $day,
        public string $site,
        public string $name,
        public int $people,
        public int $stations,
    ) {
    }
}
