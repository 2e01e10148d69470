<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

use Hylognosis\Identification\CompiledCharacter;
use Hylognosis\Identification\DescriptionError;

/**
 * What trees of one taxon show in one character: the values with how often a tree shows mostly that one. Numbers are
 * told by five values, the ends and the middle of the normal range and the middle of each extreme.
 */
final readonly class Showing
{
    /** Numbers the description does not allow lie so many times beyond its extremes. */
    private const BEYOND = 1.25;

    /**
     * @param non-empty-list<string|float> $values
     * @param non-empty-list<float>        $shares summing to 1
     */
    private function __construct(public array $values, public array $shares)
    {
    }

    /**
     * None where the character makes no sense on the taxon; what the flora as a whole shows where it is silent. Now and
     * then a tree shows what its description does not list, but never what is stated never.
     *
     * @param list<string>|null $only  trees that show one of these states; null: all
     * @param float             $error share of the usual description error, 0 to 1
     */
    public static function of(CompiledCharacter $character, int $taxon, ?array $only = null, float $error = 1.0): ?self
    {
        if (isset($character->inapplicable[$taxon])) {
            return null;
        }
        $shares = [];
        if ($character->character->isNumeric()) {
            $shares = self::numbers($character, $taxon, $error);
        } else {
            foreach ($character->outcomes as $state => $o) {
                $shares[$state] =
                    $character->shown[$o][$taxon] * (isset($character->unlisted[$o][$taxon]) ? $error : 1.0);
            }
        }
        $values = $kept = [];
        foreach ($shares as $value => $share) {
            if ($share > 0.0 && (null === $only || \in_array((string) $value, $only, true))) {
                $values[] = $character->character->isNumeric() ? (float) $value : (string) $value;
                $kept[] = $share;
            }
        }
        $sum = array_sum($kept);

        return [] === $values || [] === $kept
            ? null
            : new self($values, array_map(static fn (float $share): float => $share / $sum, $kept));
    }

    /** @return array<int|string, float> value as text → share */
    private static function numbers(CompiledCharacter $character, int $taxon, float $error): array
    {
        $ranges = isset($character->ranges[$taxon]) ? [$character->ranges[$taxon]] : array_values($character->ranges);
        $shares = [];
        foreach ($ranges as $range) {
            $below = $range->least < $range->low ? 0.05 : 0.0;
            $above = $range->most > $range->high ? 0.05 : 0.0;
            $each = (1.0 - $below - $above - $error * DescriptionError::RATE) / 3;
            $beyond = ($error * DescriptionError::RATE) / 2;
            foreach (
                [
                    [$range->least / self::BEYOND, $beyond],
                    [$range->most * self::BEYOND, $beyond],
                    [($range->least + $range->low) / 2, $below],
                    [$range->low, $each],
                    [($range->low + $range->high) / 2, $each],
                    [$range->high, $each],
                    [($range->high + $range->most) / 2, $above],
                ] as [$value, $share]
            ) {
                $key = (string) ($character->isCount() ? round($value) : round($value, 1));
                $shares[$key] = ($shares[$key] ?? 0.0) + $share / \count($ranges);
            }
        }

        return $shares;
    }
}
