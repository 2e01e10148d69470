<?php

declare(strict_types=1);

namespace Hylognosis\Season;

/**
 * How far dates stray before anybody has looked: standard deviations in days.
 *
 * Source: memory of phenological networks of Central Europe, where the leafing of one kind at one station strays by a
 * week to ten days between years, trees of one kind in one wood by four or five days; what a flora says of a kind at a
 * place is rough by more than that.
 */
final readonly class Spread
{
    /**
     * @param float $kind  of what the flora says of a kind's leafing, flowering, ripening or leaf fall
     * @param float $event of one event within that
     * @param float $site  of a site from what Hopkins' rule says
     * @param float $year  of the springs of a site, shared by all its kinds; of its autumns the same
     * @param float $tree  of one tree from its kind
     * @param float $rest  of one date from all of that
     */
    public function __construct(
        public float $kind = 7.0,
        public float $event = 3.0,
        public float $site = 4.0,
        public float $year = 7.0,
        public float $tree = 4.0,
        public float $rest = 3.0,
    ) {
        foreach ([$kind, $event, $site, $year, $tree, $rest] as $days) {
            if ($days <= 0.0 || $days > 100.0) {
                throw new \InvalidArgumentException('A spread is above 0 and at most 100 days.');
            }
        }
    }
}
