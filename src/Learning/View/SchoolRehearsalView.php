<?php

declare(strict_types=1);

namespace App\Learning\View;

/** How this school would fare with a part. */
final readonly class SchoolRehearsalView
{
    /**
     * @param string                  $what         kind and part in words
     * @param int                     $month        in which right trees were played, 1 to 12
     * @param float                   $right        share of right trees cleared with the rates counted here
     * @param float                   $rightAverage with an average examiner
     * @param int                     $played       right trees played for each
     * @param list<SchoolPassingView> $passing      dangerous kinds, the one that passes most easily first
     */
    public function __construct(
        public string $what,
        public int $month,
        public float $right,
        public float $rightAverage,
        public int $played,
        public array $passing,
    ) {
    }
}
