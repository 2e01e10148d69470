<?php

declare(strict_types=1);

namespace App\Teaching\View;

/** A month of the year with a tree. */
final readonly class AlbumMonthView
{
    /**
     * @param string $month YYYY-MM
     * @param list<string> $notes what was noted, each with its day
     * @param list<string> $events what came, each with its day
     * @param list<string> $looked what the learner scored there
     * @param list<AlbumPictureView> $pictures taken in it
     */
    public function __construct(
        public string $month,
        public array $notes,
        public array $events,
        public array $looked,
        public array $pictures,
    ) {
    }
}
