<?php

declare(strict_types=1);

namespace App\Stock\View;

use Hylognosis\Measure\Length;
use Hylognosis\Stock\CarriedLeaf;
use Hylognosis\Stock\WithinReach;
use Hylognosis\Stock\WoodyGroup;

/** A range of harm seen, held against one's own animals. */
final readonly class ReachView
{
    /**
     * @param HarmSeenView $seen    what it is reckoned from
     * @param float        $from    grams that harmed one animal of that mass
     * @param float        $to      up to so many grams
     * @param float        $buckets of ten litres, loosely filled, in the lower end; 0 where it is no leaf
     * @param float        $branches 2.5 cm thick at the foot that carry as much; 0 where it is no leaf
     * @param int|null     $few     animals that what came down could harm, by the upper end of the range
     * @param int|null     $many    and by the lower end; null where no leaf came down
     */
    public function __construct(
        public HarmSeenView $seen,
        public float $from,
        public float $to,
        public float $buckets,
        public float $branches,
        public ?int $few,
        public ?int $many,
    ) {
    }

    /** @param WoodyGroup $group by whose line a branch is reckoned */
    public static function of(WithinReach $reach, WoodyGroup $group): self
    {
        $branch = CarriedLeaf::of($group, Length::of(10 * CarriedLeaf::THINNEST, 'mm'))->fresh;

        return new self(
            HarmSeenView::of($reach->harm),
            $reach->from->grams,
            $reach->to->grams,
            $reach->harm->isOfLeaves() ? $reach->buckets : 0.0,
            $reach->harm->isOfLeaves() ? $reach->from->grams / $branch->grams : 0.0,
            $reach->animals[0] ?? null,
            $reach->animals[1] ?? null,
        );
    }
}
