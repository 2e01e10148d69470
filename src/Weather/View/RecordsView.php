<?php

declare(strict_types=1);

namespace App\Weather\View;

/** What is in a file of a station, or was brought in. */
final readonly class RecordsView
{
    /**
     * @param bool         $done   it was brought in
     * @param string       $first  day, YYYY-MM-DD; empty where nothing can be read
     * @param string       $last   the same
     * @param int          $days   with both temperatures
     * @param int          $new    of these, not known yet
     * @param int          $other  known otherwise: they change
     * @param int          $empty  lines without both temperatures
     * @param list<string> $gaps   first and last day of what is missing between, as "2026-02-28 2026-03-01"
     * @param list<string> $faults what is wrong, a sentence with line and column each; nothing is brought in then
     */
    public function __construct(
        public bool $done,
        public string $first,
        public string $last,
        public int $days,
        public int $new,
        public int $other,
        public int $empty,
        public array $gaps,
        public array $faults,
    ) {
    }
}
