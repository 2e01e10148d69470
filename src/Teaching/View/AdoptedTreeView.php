<?php

declare(strict_types=1);

namespace App\Teaching\View;

/** A tree that is looked at for a year. */
final readonly class AdoptedTreeView
{
    /**
     * @param string $id its id
     * @param string $tree id of the tree
     * @param string $tag its tag
     * @param string $site name of the place
     * @param string $whereabouts where it stands
     * @param string $kind common name; empty where it is not settled, or not to be told
     * @param string $by name of who looks at it
     * @param bool $isOwn the reader’s own
     * @param string $since YYYY-MM-DD
     * @param ?string $endedOn YYYY-MM-DD; null: still looked at
     * @param list<WantedLookView> $wanted what to look at this month
     * @param list<AlbumMonthView> $months the first first
     * @param string $today what was noted today
     */
    public function __construct(
        public string $id,
        public string $tree,
        public string $tag,
        public string $site,
        public string $whereabouts,
        public string $kind,
        public string $by,
        public bool $isOwn,
        public string $since,
        public ?string $endedOn,
        public array $wanted,
        public array $months,
        public string $today,
    ) {
    }
}
