<?php

declare(strict_types=1);

namespace App\Batches\View;

use App\Batches\BatchDoubt;
use App\Batches\BatchState;

/** Something that is made, in a list. */
final readonly class BatchSummaryView
{
    /**
     * @param string      $id         of it
     * @param string      $name       what it is called
     * @param string      $recipeName what the recipe makes
     * @param BatchState  $state      how far it has come
     * @param string      $begunOn    day, YYYY-MM-DD
     * @param string      $by         who began it
     * @param string      $next       the step it stands at; empty where all are done
     * @param string|null $dueAt      when somebody is to look after it
     * @param bool        $isDue      that moment has come
     * @param int         $units      jars
     * @param int         $recalled   of them called back
     * @param string      $note       what to do otherwise next time
     * @param BatchDoubt|null $doubt  why nobody eats of it
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $recipeName,
        public BatchState $state,
        public string $begunOn,
        public string $by,
        public string $next,
        public ?string $dueAt,
        public bool $isDue,
        public int $units,
        public int $recalled,
        public string $note,
        public ?BatchDoubt $doubt,
    ) {
    }
}
