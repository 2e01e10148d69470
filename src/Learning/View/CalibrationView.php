<?php

declare(strict_types=1);

namespace App\Learning\View;

/** How often somebody is right who says so sure he is. */
final readonly class CalibrationView
{
    /**
     * @param string $certainty `sure`, `likely` or `unsure`
     * @param int    $right     of the readings
     * @param int    $all       readings
     * @param float  $low       share right, in nineteen cases of twenty no less (Wilson)
     * @param float  $high      and no more
     * @param float  $stated    what the word is taken to mean, 0 to 1
     */
    public function __construct(
        public string $certainty,
        public int $right,
        public int $all,
        public float $low,
        public float $high,
        public float $stated,
    ) {
    }
}
