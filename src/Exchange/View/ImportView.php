<?php

declare(strict_types=1);

namespace App\Exchange\View;

use App\Exchange\ImportFault;
use App\Exchange\ImportPlan;
use App\Exchange\PlannedRow;

/** What a file would do, or did. */
final readonly class ImportView
{
    /** Of a long file the first are shown; the counts are of all. */
    private const MOST = 200;

    /**
     * @param string            $format    what it was read as
     * @param int               $made      how many are made
     * @param int               $changed   how many are changed
     * @param int               $same      how many lines say what is known already
     * @param int               $refused   how many faults there are: with one of them nothing is brought in
     * @param list<PlannedRow>  $makes     the first of those made
     * @param list<PlannedRow>  $changes   the first of those changed
     * @param list<ImportFault> $faults    the first faults
     * @param bool              $done      it was brought in
     */
    public function __construct(
        public string $format,
        public int $made,
        public int $changed,
        public int $same,
        public int $refused,
        public array $makes,
        public array $changes,
        public array $faults,
        public bool $done,
    ) {
    }

    public static function of(ImportPlan $plan, bool $done): self
    {
        return new self(
            $plan->format,
            \count($plan->made),
            \count($plan->changed),
            $plan->same,
            \count($plan->refused),
            \array_slice($plan->made, 0, self::MOST),
            \array_slice($plan->changed, 0, self::MOST),
            \array_slice($plan->refused, 0, self::MOST),
            $done,
        );
    }
}
