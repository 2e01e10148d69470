<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Flora\Flora;

/**
 * Which character to look at next: the expected fall in entropy over the taxa, plus what it would close of an
 * intended clearance, times the chance that it can be seen today, per effort.
 */
final readonly class NextLook
{
    /** One open point closed is worth as much as so many bits. */
    private const BITS_PER_POINT = 0.8;
    /** Taxa less probable than this do not change which look is best. */
    private const NEGLIGIBLE = 1e-4;
    private const LEAST_VISIBLE = 0.02;
    private const SURELY_APPLIES = 0.9;

    /** @return list<Suggestion> the most worthwhile first */
    public function suggest(Identification $identification, Outlook $outlook, ?Aim $aim, int $most = 5): array
    {
        $compiled = $identification->compiled;
        $posterior = array_filter($identification->posterior, static fn (float $p): bool => $p > self::NEGLIGIBLE);
        if (null !== $aim) {
            $posterior[$compiled->numbers[$aim->taxon->id]] ??= self::NEGLIGIBLE;
        }
        $phases = [];
        foreach ($posterior as $t => $_) {
            $phases[$t] = $outlook->phenology->phases($compiled->flora->taxa[$compiled->taxa[$t]], $outlook->day);
        }
        $out = $identification->examination->couldNotLook;
        $ranked = [];
        foreach ($compiled->characters as $id => $character) {
            $finding = $identification->examination->finding($id);
            $openRequired = $aim?->requires($id);
            if (!$outlook->reaches($character->character) || \in_array($id, $out, true) || (null !== $finding && !$finding->disagrees && null === $openRequired)) {
                continue;
            }
            if (!$this->makesSense($identification, $character, $posterior)) {
                continue;
            }
            $visible = $this->visible($posterior, $phases, $character->phenophases);
            if ($visible < self::LEAST_VISIBLE) {
                continue;
            }
            $bits = null === $finding ? $this->bits($character, $posterior) : 0.0;
            $closes = null === $aim ? 0.0 : $this->closes($compiled, $character, $aim, $phases[$compiled->numbers[$aim->taxon->id]]);
            $worth = ($bits + self::BITS_PER_POINT * $closes) * $visible / $character->character->effort;
            if ($worth > 1e-6) {
                $ranked[$id] = [$worth, $bits, $closes];
            }
        }
        uasort($ranked, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
        $suggestions = [];
        foreach (\array_slice($ranked, 0, $most, true) as $id => [$worth, $bits, $closes]) {
            $suggestions[] = $this->explained($compiled, $compiled->characters[$id], $posterior, $aim, $worth, $bits, $closes);
        }

        return $suggestions;
    }

    /**
     * The look most likely to speak against a danger, given that the tree is what it is taken for; none where
     * the flora knows no difference in sight today.
     */
    public function thatWouldExclude(Identification $identification, Danger $danger, string $expected, Outlook $outlook): ?CompiledCharacter
    {
        $compiled = $identification->compiled;
        $own = $compiled->numbers[$expected];
        $best = null;
        $bestWorth = 0.0;
        $phases = $outlook->phenology->phases($compiled->flora->taxa[$expected], $outlook->day);
        foreach ($compiled->characters as $character) {
            $scored = $identification->examination->finding($character->character->id);
            if (0 === ($character->phenophases & $phases) || (null !== $scored && [] !== $scored->decidingValues()) || !$outlook->reaches($character->character)) {
                continue;
            }
            $worth = $danger->stepBy($character->character->organ) * $this->chanceAgainst($compiled, $character, $danger, $own)
                * (1.0 - $character->character->misreading) / $character->character->effort;
            if ($worth > $bestWorth) {
                [$best, $bestWorth] = [$character, $worth];
            }
        }

        return $best;
    }

    /**
     * Needle bands are not asked for before it is known that the tree has needles.
     *
     * @param array<int, float> $posterior
     */
    private function makesSense(Identification $identification, CompiledCharacter $character, array $posterior): bool
    {
        $applies = $character->character->applies;
        $finding = null === $applies ? null : $identification->examination->finding($applies->character);
        if (null === $applies || (null !== $finding && [] !== array_intersect($applies->states, $finding->values()))) {
            return true;
        }

        return null === $finding && array_sum(array_diff_key($posterior, $character->inapplicable)) >= self::SURELY_APPLIES * array_sum($posterior);
    }

    /**
     * @param array<int, float> $posterior
     * @param array<int, int>   $phases
     */
    private function visible(array $posterior, array $phases, int $mask): float
    {
        $visible = $sum = 0.0;
        foreach ($posterior as $t => $probability) {
            $sum += $probability;
            $visible += 0 !== ($phases[$t] & $mask) ? $probability : 0.0;
        }

        return $sum > 0.0 ? $visible / $sum : 0.0;
    }

    /** @param array<int, float> $posterior */
    private function bits(CompiledCharacter $character, array $posterior): float
    {
        $before = $sum = 0.0;
        $logs = [];
        foreach ($posterior as $t => $probability) {
            $logs[$t] = log($probability);
            $before -= $probability * $logs[$t];
            $sum += $probability;
        }
        // Entropies of unnormalised shares: H = ln S - (1/S) Σ x ln x; after the look, weighted by the chance of each outcome.
        $after = 0.0;
        foreach ($character->read as $o => $row) {
            $logRow = $character->logRead[$o];
            $mass = $own = 0.0;
            foreach ($posterior as $t => $probability) {
                $x = $probability * $row[$t];
                $mass += $x;
                $own += $x * ($logs[$t] + $logRow[$t]);
            }
            if ($mass > 0.0) {
                $after += $mass * log($mass) - $own;
            }
        }

        return max(0.0, ($before + $sum * log($sum) - $after) / $sum) / \M_LN2;
    }

    private function closes(CompiledFlora $compiled, CompiledCharacter $character, Aim $aim, int $phases): float
    {
        if (0 === ($character->phenophases & $phases)) {
            return 0.0;
        }
        $own = $compiled->numbers[$aim->taxon->id];
        $closes = 0.0;
        $required = $aim->requires($character->character->id);
        if (null !== $required) {
            foreach ($required->states as $state) {
                $closes += $character->read[$character->outcomes[$state]][$own];
            }
            $closes += null === $required->range ? 0.0 : 0.9;
        }
        foreach ($aim->dangers as $danger) {
            $step = $danger->stepBy($character->character->organ);
            if ($step > 0.0) {
                $closes += $step * $this->chanceAgainst($compiled, $character, $danger, $own);
            }
        }

        return $closes;
    }

    /** Chance that a tree of the taxon shows something here that the danger never shows. */
    private function chanceAgainst(CompiledFlora $compiled, CompiledCharacter $character, Danger $danger, int $taxon): float
    {
        $number = $compiled->numbers[$danger->taxon->id];
        if (isset($character->silent[$taxon])) {
            return 0.0;
        }
        $chance = 0.0;
        foreach ($character->shown as $o => $row) {
            $chance += $character->ruledOut[$o][$number] ? $row[$taxon] : 0.0;
        }

        return min(1.0, $chance);
    }

    /** @param array<int, float> $posterior */
    private function explained(CompiledFlora $compiled, CompiledCharacter $character, array $posterior, ?Aim $aim, float $worth, float $bits, float $closes): Suggestion
    {
        $required = null !== $aim?->requires($character->character->id);
        $parted = [];
        if (null !== $aim) {
            foreach ($aim->dangers as $danger) {
                if ($danger->stepBy($character->character->organ) > 0.0 && $this->chanceAgainst($compiled, $character, $danger, $compiled->numbers[$aim->taxon->id]) > 0.5) {
                    $parted[] = $danger->taxon->id;
                }
            }
        }
        $flora = $compiled->flora;
        if (null !== $aim && [] !== $parted) {
            $because = ($required ? 'Required, and parts ' : 'Parts ').$aim->taxon->commonName().' from '.self::names($flora, $parted).'.';
        } elseif ($required) {
            $because = 'Required before anything is taken from '.$aim->taxon->commonName().'.';
        } else {
            $parted = $this->pair($compiled, $character, $posterior);
            $because = 2 === \count($parted)
                ? 'Parts '.$flora->taxon($parted[0])->commonName().' from '.$flora->taxon($parted[1])->commonName().'.'
                : 'Narrows down what it can be.';
        }

        return new Suggestion($character->character, $worth, $bits, $closes, $required, $parted, $because);
    }

    /**
     * The two probable taxa this character parts best.
     *
     * @param array<int, float> $posterior
     *
     * @return list<string>
     */
    private function pair(CompiledFlora $compiled, CompiledCharacter $character, array $posterior): array
    {
        arsort($posterior);
        $top = array_keys(\array_slice($posterior, 0, 6, true));
        $best = [];
        foreach ($top as $i => $a) {
            foreach (\array_slice($top, $i + 1) as $b) {
                $apart = 0.0;
                foreach ($character->read as $row) {
                    $apart += abs($row[$a] - $row[$b]) / 2;
                }
                $gain = $apart * sqrt($posterior[$a] * $posterior[$b]);
                if ($apart > 0.2 && $gain > ($best[2] ?? 0.0)) {
                    $best = [$compiled->taxa[$a], $compiled->taxa[$b], $gain];
                }
            }
        }

        return [] === $best ? [] : [$best[0], $best[1]];
    }

    /** @param list<string> $taxa */
    private static function names(Flora $flora, array $taxa): string
    {
        $names = array_map(static fn (string $id): string => $flora->taxon($id)->commonName(), \array_slice($taxa, 0, 3));
        $more = \count($taxa) - \count($names);
        if ($more > 0) {
            $names[] = $more.' more';
        }
        $last = (string) array_pop($names);

        return [] === $names ? $last : implode(', ', $names).' and '.$last;
    }
}
