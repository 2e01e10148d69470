<?php

declare(strict_types=1);

namespace App\Season\View;

/** A day out that was kept. */
final readonly class PlannedDayView
{
    /**
     * @param string       $id        of it
     * @param string       $day       YYYY-MM-DD
     * @param string       $name      what it is for; may be empty
     * @param list<string> $sites     ids of places; none: all
     * @param list<string> $hopes     what was hoped for, as "taxon/part"
     * @param list<string> $skip      ids of trees left out
     * @param float|null   $latitude  of its start
     * @param float|null   $longitude of its start
     * @param list<string> $trees     tags, as they were when it was kept
     * @param string       $by        who kept it
     * @param bool         $mayGiveUp the reader may
     */
    public function __construct(
        public string $id,
        public string $day,
        public string $name,
        public array $sites,
        public array $hopes,
        public array $skip,
        public ?float $latitude,
        public ?float $longitude,
        public array $trees,
        public string $by,
        public bool $mayGiveUp,
    ) {
    }
}
