<?php

declare(strict_types=1);

namespace App\Learning\View;

/** How one month went. */
final readonly class LearningMonthView
{
    /**
     * @param string $month YYYY-MM
     * @param int    $read  readings
     * @param int    $right of these
     * @param int    $trees practised
     * @param float  $marks share of the full marks for what one would have done, 0 to 1; 0 where no tree was practised
     */
    public function __construct(
        public string $month,
        public int $read,
        public int $right,
        public int $trees,
        public float $marks,
    ) {
    }
}
