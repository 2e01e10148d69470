<?php

declare(strict_types=1);

namespace App\Stock\View;

/** A range of harm seen, held against one's own animals. */
final readonly class ReachView
{
    /**
     * @param HarmSeenView $seen    what it is reckoned from
     * @param float        $from    grams that harmed one animal of that mass
     * @param float        $to      up to so many grams
     * @param float        $buckets of ten litres, loosely filled, in the lower end; 0 where it is no leaf
     * @param int|null     $few     animals that what came down could harm, by the upper end of the range
     * @param int|null     $many    and by the lower end; null where no leaf came down
     */
    public function __construct(
        public HarmSeenView $seen,
        public float $from,
        public float $to,
        public float $buckets,
        public ?int $few,
        public ?int $many,
    ) {
    }
}
