<?php

declare(strict_types=1);

namespace App\Learning\View;

/** How often a character was misread here, beside what the flora says. */
final readonly class CountedRateView
{
    /**
     * @param string       $character     id
     * @param string       $label         its name
     * @param int          $looks         counted
     * @param int          $wrong         of these
     * @param float        $was           the flora’s rate, 0 to 1
     * @param float        $rate          counted, over the flora’s rate, 0 to 1
     * @param float        $low           of the interval of 95 %
     * @param float        $high          of it
     * @param bool         $isWellFounded there are looks enough to propose it
     * @param list<string> $confusions    that the flora does not name yet, in words
     */
    public function __construct(
        public string $character,
        public string $label,
        public int $looks,
        public int $wrong,
        public float $was,
        public float $rate,
        public float $low,
        public float $high,
        public bool $isWellFounded,
        public array $confusions,
    ) {
    }
}
