<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

use Hylognosis\Flora\Severity;

/** How often a dangerous tree passes for the wanted one: a false clearance, by a single examiner. */
final readonly class Passing
{
    /**
     * @param float|null $estimate 0 to 1, by importance sampling; null where the exact bound alone was small enough
     * @param float      $bound    95 % upper bound, 0 to 1; exact where there is no estimate
     * @param int        $played   simulated examinations behind the estimate
     * @param PairBound  $exact    by summation, with what follows if somebody wants it or a stated never is false
     */
    public function __construct(
        public string $taxon,
        public string $part,
        public string $danger,
        public Severity $severity,
        public ExaminerKind $examiner,
        public ?float $estimate,
        public float $bound,
        public int $played,
        public PairBound $exact,
    ) {
    }

    public function meetsAim(): bool
    {
        return $this->bound <= $this->examiner->aim();
    }
}
