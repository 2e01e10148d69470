<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

use Hylognosis\Measure\Proportion;

/** How often, and after how many looks, a right tree is cleared in one month, by a single examiner. */
final readonly class RightClearance
{
    /**
     * @param int                $month    1 to 12, at the flora's reference place
     * @param float|null         $looks    median of those that were cleared; null where none was
     * @param array<string, int> $inTheWay what still stood open when a right tree was not cleared → in how many
     *                                     examinations, most first
     */
    public function __construct(
        public string $taxon,
        public string $part,
        public int $month,
        public ExaminerKind $examiner,
        public Proportion $cleared,
        public ?float $looks,
        public array $inTheWay,
    ) {
    }
}
