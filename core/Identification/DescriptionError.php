<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

/**
 * How often a tree shows, in a character its description speaks of, a state the description does not list. Descriptions
 * are written from memory and are never complete; silence counts against a hope a little, and never against a danger.
 *
 * The figures were chosen on outside data (docs/how-it-decides.md, "The numbers"; `php
 * tests/Reference/choose-numbers.php`).
 */
final readonly class DescriptionError
{
    /**
     * Share of looks at a described character that find something unlisted, 0 to 1; all unlisted states of a character
     * share it.
     */
    public const RATE = 0.05;
    /** More unusual things than this error explains, at this level (one-sided, binomial), speak against the hope. */
    public const LEVEL = 0.05;

    /**
     * Chance that so many or more of so many looks find something unlisted, though the tree is what it is taken for.
     *
     * @param int $unusual 0 to $looks
     *
     * @return float 0 to 1
     */
    public static function chanceOf(int $unusual, int $looks): float
    {
        $below = 0.0;
        $term = (1.0 - self::RATE) ** $looks; // of exactly none
        for ($k = 0; $k < $unusual; ++$k) {
            $below += $term;
            $term *= ((($looks - $k) / ($k + 1)) * self::RATE) / (1.0 - self::RATE);
        }

        return max(0.0, 1.0 - $below);
    }

    /** Whether the error explains so many unusual things among so many looks. One is always explained. */
    public static function explains(int $unusual, int $looks): bool
    {
        return $unusual <= 1 || self::chanceOf($unusual, $looks) >= self::LEVEL;
    }
}
