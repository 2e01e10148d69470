<?php

declare(strict_types=1);

namespace Hylognosis\Examination;

/**
 * How far examiners agree beyond chance: 1 all of one mind, 0 no better than chance, below 0 worse.
 *
 * Sources: J. Cohen, Educ. Psychol. Meas. 20 (1960) 37–46; J. L. Fleiss, Psychol. Bull. 76 (1971) 378–382 (both from
 * memory; Cohen's is checked against scikit-learn, Fleiss's against a printed worked example, in tests/Reference).
 */
final readonly class Agreement
{
    /**
     * Cohen's kappa of two examiners over the same specimens.
     *
     * @param list<string> $one   the state each specimen was given
     * @param list<string> $other the same specimens, in the same order
     *
     * @throws \InvalidArgumentException if the lists are empty or of different length
     */
    public static function cohen(array $one, array $other): float
    {
        $n = \count($one);
        if (0 === $n || $n !== \count($other)) {
            throw new \InvalidArgumentException('Both examiners must have scored the same specimens, at least one.');
        }
        $same = \count(array_filter(array_keys($one), static fn (int $i): bool => $one[$i] === $other[$i])) / $n;
        $often = array_count_values($other);
        $chance = 0.0;
        foreach (array_count_values($one) as $state => $count) {
            $chance += ($count * ($often[$state] ?? 0)) / ($n * $n);
        }

        return self::beyondChance($same, $chance);
    }

    /**
     * Gwet's AC1 of any number of examiners, who need not all have scored every specimen. Where nearly all specimens
     * are alike kappa falls to nothing though all agree; this does not.
     *
     * Source: K. L. Gwet, Br. J. Math. Stat. Psychol. 61 (2008) 29–48 (memory; checked against a printed example).
     *
     * @param list<array<string, int>> $counts for each specimen, how many examiners gave it which state
     *
     * @throws \InvalidArgumentException if fewer than two examiners scored each specimen, or there is none
     */
    public static function gwet(array $counts): float
    {
        $states = $shares = [];
        $same = 0.0;
        foreach ($counts as $row) {
            $raters = array_sum($row);
            if ($raters < 2) {
                throw new \InvalidArgumentException('Two or more examiners must have scored each specimen.');
            }
            foreach ($row as $state => $count) {
                $states[$state] = true;
                $shares[$state] = ($shares[$state] ?? 0.0) + $count / $raters / \count($counts);
                $same += ($count * ($count - 1)) / ($raters * ($raters - 1)) / \count($counts);
            }
        }
        if ([] === $counts) {
            throw new \InvalidArgumentException('Two or more examiners must have scored each specimen.');
        }
        $chance = 0.0;
        foreach ($shares as $share) {
            $chance += ($share * (1 - $share)) / max(1, \count($states) - 1);
        }

        return self::beyondChance($same, $chance);
    }

    /**
     * Fleiss's kappa of any number of examiners, the same number for every specimen.
     *
     * @param list<array<string, int>> $counts for each specimen, how many examiners gave it which state
     *
     * @throws \InvalidArgumentException if there are no specimens, or not the same two or more examiners for each
     */
    public static function fleiss(array $counts): float
    {
        $raters = [] === $counts ? 0 : array_sum($counts[0]);
        if ($raters < 2 || [] !== array_filter($counts, static fn (array $row): bool => array_sum($row) !== $raters)) {
            throw new \InvalidArgumentException(
                'Every specimen must have been scored by the same number of examiners, two or more.',
            );
        }
        $same = 0.0;
        $totals = [];
        foreach ($counts as $row) {
            foreach ($row as $state => $count) {
                $same += ($count * ($count - 1)) / ($raters * ($raters - 1));
                $totals[$state] = ($totals[$state] ?? 0) + $count;
            }
        }
        $all = \count($counts) * $raters;
        $chance = array_sum(array_map(static fn (int $total): float => ($total / $all) ** 2, $totals));

        return self::beyondChance($same / \count($counts), $chance);
    }

    /** Where chance alone makes everybody agree, agreement says nothing: 1 if they do agree. */
    private static function beyondChance(float $same, float $chance): float
    {
        return $chance >= 1.0 ? 1.0 : ($same - $chance) / (1 - $chance);
    }
}
