<?php

declare(strict_types=1);

namespace Hylognosis\Crop;

use Hylognosis\Flora\NumberRange;

/**
 * Good and poor years. A kind with good years two to six years apart has one in four; which one, nobody knows, but
 * hardly the year after a good one. What the school has written down of its own trees counts with what the flora says.
 */
final readonly class MastYears
{
    /** Years of one's own that outweigh what the flora says. */
    private const FLORA_COUNTS_AS = 3;
    /** No year is surely good. */
    private const SUREST = 0.85;
    /** Where the flora gives no interval. Common practice. */
    private const UNKNOWN = ['none' => 0.1, 'poor' => 0.25, 'fair' => 0.35, 'good' => 0.3];
    /** How a year that is not good turns out, by the mean years between good ones. Common practice. */
    private const OTHERWISE = [
        [2.0, ['none' => 0.1, 'poor' => 0.3, 'fair' => 0.6]],
        [4.0, ['none' => 0.2, 'poor' => 0.35, 'fair' => 0.45]],
        [\INF, ['none' => 0.35, 'poor' => 0.4, 'fair' => 0.25]],
    ];

    /**
     * @param NumberRange|null      $interval years from one good crop to the next
     * @param array<int, CropGrade> $known    by year; that of the asked year is not read
     *
     * @return array{none: float, poor: float, fair: float, good: float} of the year; they add up to 1
     */
    public static function chances(?NumberRange $interval, array $known, int $year): array
    {
        $chances = self::UNKNOWN;
        $usual = null;
        if (null !== $interval) {
            $mean = max(1.0, ($interval->low + $interval->high) / 2);
            $usual = min(self::SUREST, 1 / $mean);
            $chances = ['good' => $usual];
            foreach (self::OTHERWISE as [$below, $shares]) {
                if ($mean < $below) {
                    foreach ($shares as $grade => $share) {
                        $chances[$grade] = (1 - $usual) * $share;
                    }
                    break;
                }
            }
        }
        unset($known[$year]);
        $years = \count($known);
        $seen = ['none' => 0, 'poor' => 0, 'fair' => 0, 'good' => 0];
        foreach ($known as $grade) {
            ++$seen[$grade->value];
        }
        foreach ($seen as $grade => $count) {
            $chances[$grade] =
                (self::FLORA_COUNTS_AS * ($chances[$grade] ?? 0.0) + $count) / (self::FLORA_COUNTS_AS + $years);
        }
        $since = self::sinceGood($known, $year);
        if (null !== $usual && null !== $interval && null !== $since) {
            $due = 0.75 * self::hazard($interval, $since) + 0.25 * $usual;
            $chances = self::withGood($chances, min(self::SUREST, ($chances['good'] * $due) / $usual));
        }

        return [
            'none' => $chances['none'],
            'poor' => $chances['poor'],
            'fair' => $chances['fair'],
            'good' => $chances['good'],
        ];
    }

    /**
     * @param array<int, CropGrade> $known by year
     *
     * @return int|null years since the last good one before the given year; null where none is on record
     */
    public static function sinceGood(array $known, int $year): ?int
    {
        $since = null;
        foreach ($known as $of => $grade) {
            if (CropGrade::Good === $grade && $of < $year) {
                $since = min($since ?? \PHP_INT_MAX, $year - $of);
            }
        }

        return $since;
    }

    /**
     * Chance that the wait ends after so many years, if it did not before, all waits of the interval being as likely.
     */
    private static function hazard(NumberRange $interval, int $since): float
    {
        [$low, $high] = [(int) round($interval->low), (int) round($interval->high)];

        return $since < $low ? 0.0 : 1 / max(1, $high - $since + 1);
    }

    /**
     * @param array<string, float> $chances
     *
     * @return array<string, float> with that chance of a good year, the others in proportion
     */
    private static function withGood(array $chances, float $good): array
    {
        $rest = 1 - $chances['good'];
        foreach ($chances as $grade => $chance) {
            $chances[$grade] = 'good' === $grade ? $good : ($rest > 0 ? ($chance * (1 - $good)) / $rest : 0.0);
        }

        return $chances;
    }
}
