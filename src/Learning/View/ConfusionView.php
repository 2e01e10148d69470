<?php

declare(strict_types=1);

namespace App\Learning\View;

/** One state of a character, and what is read where it is there. */
final readonly class ConfusionView
{
    /**
     * @param string $true  label of the state that was there
     * @param string $read  label of the state that was read
     * @param int    $times own readings of that kind
     * @param int    $looks own readings of the state that was there
     * @param float  $share how often, own readings and the flora's rates together, 0 to 1
     * @param float  $low   in nineteen cases of twenty no less
     * @param float  $high  and no more
     */
    public function __construct(
        public string $true,
        public string $read,
        public int $times,
        public int $looks,
        public float $share,
        public float $low,
        public float $high,
    ) {
    }
}
