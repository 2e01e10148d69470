<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Flora\Position;
use Hylognosis\Flora\StatedNever;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Season\Phenology;

/**
 * What exactly parts two to four taxa: the characters in which one careful look tells them from each other, the most
 * telling first, and what each states it never shows while another of them does.
 *
 * Of n taxa, each as likely, a look at a character tells H(mean of what is read) − mean of H(what is read), in bits
 * (mutual information: Shannon 1948). A usual look at a tree of taxon a makes it exp(KL(a ‖ b)) times likelier than b
 * (Kullback and Leibler 1951): the geometric mean over what such looks read. Both count misreadings. One look alone is
 * meant: several at one organ tell less than their product ({@see Tempering}).
 */
final readonly class Comparison
{
    public const LEAST = 2;
    public const MOST = 4;
    /** A look that tells less than so many bits parts nothing. */
    private const TELLING = 0.02;
    /** What at least so many trees of a taxon show is worth a line that another never does. */
    private const OFTEN = 0.25;
    private const MIDDLE_OF_MONTH = 15;

    /**
     * @param list<int>                     $taxa   numbers, in the order they were named
     * @param list<Parting>                 $rows   the most telling first
     * @param array<int, list<StatedNever>> $nevers taxon number → the lines that speak where another of them is met
     */
    private function __construct(public array $taxa, public array $rows, public array $nevers)
    {
    }

    /**
     * @param list<string> $taxa ids, {@see LEAST} to {@see MOST} different ones of the flora
     *
     * @throws \InvalidArgumentException if they are too few, too many, or one is named twice
     */
    public static function of(CompiledFlora $compiled, array $taxa, Phenology $phenology): self
    {
        $count = \count($taxa);
        if ($count < self::LEAST || $count > self::MOST || \count(array_unique($taxa)) < $count) {
            throw new \InvalidArgumentException('Two to four different taxa can be laid side by side.');
        }
        $numbers = array_map(static fn (string $id): int => $compiled->numbers[$compiled->flora->taxon($id)->id], $taxa);
        $phases = [];
        foreach ($numbers as $t) {
            for ($month = 1; $month <= 12; ++$month) {
                $day = DayOfYear::parse(\sprintf('%02d-%d', $month, self::MIDDLE_OF_MONTH));
                $phases[$t][$month] = $phenology->phases($compiled->flora->taxon($compiled->taxa[$t]), $day);
            }
        }
        $rows = [];
        foreach (array_keys($compiled->characters) as $id) {
            foreach ([Position::Middle, Position::Low, Position::High] as $position) {
                $there = $compiled->at($id, $position);
                $row =
                    Position::Middle === $position || self::differs($compiled->characters[$id], $there, $numbers)
                        ? self::row($there, $position, $numbers, $phases)
                        : null;
                if (null !== $row) {
                    $rows[] = $row;
                }
            }
        }
        usort($rows, static fn (Parting $a, Parting $b): int => $b->bits <=> $a->bits);

        return new self($numbers, $rows, self::nevers($compiled, $numbers));
    }

    /** @param list<int> $taxa */
    private static function differs(CompiledCharacter $plain, CompiledCharacter $there, array $taxa): bool
    {
        foreach ($plain === $there ? [] : $there->read as $o => $row) {
            foreach ($taxa as $t) {
                if ($row[$t] !== ($plain->read[$o][$t] ?? null)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param list<int>                  $taxa
     * @param array<int, array<int, int>> $phases taxon number → month → phenophases, one bit each
     */
    private static function row(CompiledCharacter $there, Position $position, array $taxa, array $phases): ?Parting
    {
        $described = array_values(array_filter($taxa, $there->isDescribed(...)));
        if (\count($described) < self::LEAST) {
            return null;
        }
        $bits = 0.0;
        foreach ($there->read as $row) {
            $mean = array_sum(array_map(static fn (int $t): float => $row[$t], $described)) / \count($described);
            foreach ($described as $t) {
                $bits += ($row[$t] * log($row[$t] / $mean, 2)) / \count($described);
            }
        }
        if ($bits < self::TELLING) {
            return null;
        }
        $times = $months = [];
        foreach ($taxa as $t) {
            $times[$t] = \in_array($t, $described, true) ? self::times($there, $t, $described) : null;
            $months[$t] = array_keys(
                array_filter($phases[$t], static fn (int $mask): bool => 0 !== ($mask & $there->phenophases)),
            );
        }

        return new Parting($there, $position, $bits, $times, $months);
    }

    /** @param list<int> $among */
    private static function times(CompiledCharacter $there, int $taxon, array $among): float
    {
        $nearest = \INF;
        foreach (array_diff($among, [$taxon]) as $other) {
            $divergence = 0.0;
            foreach ($there->read as $row) {
                $divergence += $row[$taxon] * log($row[$taxon] / $row[$other]);
            }
            $nearest = min($nearest, exp($divergence));
        }

        return max(1.0, $nearest);
    }

    /**
     * @param list<int> $taxa
     *
     * @return array<int, list<StatedNever>>
     */
    private static function nevers(CompiledFlora $compiled, array $taxa): array
    {
        $nevers = [];
        foreach ($taxa as $t) {
            $nevers[$t] = [];
            foreach ($compiled->nevers[$t] as $id => $lines) {
                $met = self::met($compiled->characters[$id], array_diff($taxa, [$t]));
                foreach ($lines as $line) {
                    if ([] !== array_filter($met, $line->forbids(...))) {
                        $nevers[$t][] = $line;
                    }
                }
            }
        }

        return $nevers;
    }

    /**
     * @param array<int, int> $taxa
     *
     * @return list<string|float> what trees of these taxa often show; of numbers, the middle of what is usual
     */
    private static function met(CompiledCharacter $character, array $taxa): array
    {
        $met = [];
        foreach (array_filter($taxa, $character->isDescribed(...)) as $t) {
            foreach ($character->outcomes as $state => $o) {
                if ($character->shown[$o][$t] >= self::OFTEN) {
                    $met[] = $state;
                }
            }
            if (isset($character->ranges[$t])) {
                $met[] = round(($character->ranges[$t]->low + $character->ranges[$t]->high) / 2.0);
            }
        }

        return $met;
    }
}
