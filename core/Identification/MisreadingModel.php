<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Examination\Finding;
use Hylognosis\Flora\Character;

/**
 * How a state gets read as another. A share `rate` of readings goes wrong; of those, four in five go to a
 * state the flora names as confused with the true one, where it names any.
 */
final readonly class MisreadingModel
{
    /** No reading is impossible: below this a probability is not told from nought. */
    public const LEAST_PROBABILITY = 1e-9;
    private const NAMED_SHARE = 0.8;
    private const LEAST = 0.002;
    private const MOST = 0.6;
    /** Beyond four samples the same eye repeats the same mistake: more of them do not help. */
    private const SAMPLES_THAT_HELP = 4;

    /**
     * Probability, 0.002 to 0.6, that the score as a whole is a misreading; 0 where the flora says it never happens.
     */
    public static function rate(Finding $finding): float
    {
        if (0.0 === $finding->character->legibility->misreading) {
            return 0.0;
        }
        $rate =
            ($finding->character->legibility->misreading * $finding->misreadingFactor()) /
            sqrt(min($finding->samples(), self::SAMPLES_THAT_HELP));

        return max(self::LEAST, min(self::MOST, $rate));
    }

    /** The rate of one careful, sure look at one sample. */
    public static function plainRate(Character $character): float
    {
        return 0.0 === $character->legibility->misreading ? 0.0 : max(self::LEAST, $character->legibility->misreading);
    }

    /**
     * Probability that a look reads a value.
     *
     * @param float $rate    how often looks are misread, 0 to 1
     * @param float $shown   how often the tree shows the value, 0 to 1
     * @param float $misread how often a misreading ends in it, 0 to 1
     */
    public static function read(float $rate, float $shown, float $misread): float
    {
        $probability = (1.0 - $rate) * $shown + $rate * $misread;

        return $probability > self::LEAST_PROBABILITY ? $probability : self::LEAST_PROBABILITY;
    }

    /**
     * @return array<string, array<string, float>> true state → read state → share of the misreadings, summing to 1
     */
    public static function misread(Character $character): array
    {
        $ids = array_keys($character->states);
        $matrix = [];
        foreach ($ids as $true) {
            $named = $character->legibility->confusions[$true] ?? [];
            $others = array_values(array_diff($ids, [$true], $named));
            $toNamed = [] === $named ? 0.0 : ([] === $others ? 1.0 : self::NAMED_SHARE);
            foreach ($named as $id) {
                $matrix[$true][$id] = $toNamed / \count($named);
            }
            foreach ($others as $id) {
                $matrix[$true][$id] = (1.0 - $toNamed) / \count($others);
            }
        }

        return $matrix;
    }
}
