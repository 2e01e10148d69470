<?php

declare(strict_types=1);

namespace App\Batches\View;

use App\Batches\RecallOf;

/** Something was called back, and all it touched. */
final readonly class RecallView
{
    /**
     * @param string                 $id      of the recall
     * @param RecallOf               $what    what is doubted
     * @param string                 $about   in words
     * @param string                 $because why
     * @param string                 $at      moment, RFC 3339
     * @param string                 $by      who called it back
     * @param list<RecalledUnitView> $units   labels to pull
     * @param list<BatchSummaryView> $batches that are not labelled any more
     */
    public function __construct(
        public string $id,
        public RecallOf $what,
        public string $about,
        public string $because,
        public string $at,
        public string $by,
        public array $units,
        public array $batches,
    ) {
    }
}
