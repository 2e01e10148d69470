<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Flora\Character;
use Hylognosis\Flora\Flora;

/**
 * Which character to look at next: the expected fall in entropy over the taxa and over something the flora does not
 * hold, plus what it would close of an intended clearance, times the chance that it can be seen today, per effort.
 */
final readonly class NextLook
{
    /** One open point closed is worth as much as so many bits. */
    private const BITS_PER_POINT = 0.8;
    /** Taxa less probable than this do not change which look is best. */
    private const NEGLIGIBLE = 1e-4;
    /** A second look at what speaks against the hope turns it over so often (an estimate). */
    private const SECOND_LOOK_TURNS = 0.5;
    private const LEAST_VISIBLE = 0.02;
    private const SURELY_APPLIES = 0.9;

    /**
     * @param Contrast|null $contrast of the taxon aimed at, where it has been reckoned already
     *
     * @return list<Suggestion> the most worthwhile first
     */
    public function suggest(Identification $identification, Outlook $outlook, ?Aim $aim, int $most = 5, ?Contrast $contrast = null): array
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
        $contrast = null === $aim ? null : $contrast ?? Contrast::of($compiled, $aim->taxon->id);
        $dangers = array_map(static fn (Danger $danger): array => [$compiled->numbers[$danger->taxon->id], $danger->steps()], $aim->dangers ?? []);
        $out = $identification->examination->couldNotLook;
        $left = null === $aim || null === $contrast ? [] : $this->leftByRequired($compiled, $aim, $contrast, $dangers, $phases[$contrast->own], $outlook, $out);
        $ranked = $visibleIn = [];
        foreach ($compiled->characters as $id => $character) {
            $finding = $identification->examination->finding($id);
            $openRequired = $aim?->requires($id);
            if (!$outlook->reaches($character->character) || \in_array($id, $out, true) || (null !== $finding && !$finding->disagrees && null === $openRequired && !\in_array($id, $aim->against ?? [], true))) {
                continue;
            }
            if (!$this->makesSense($identification, $character, $posterior)) {
                continue;
            }
            $visible = $visibleIn[$character->phenophases] ??= $this->visible($posterior, $phases, $character->phenophases);
            if ($visible < self::LEAST_VISIBLE) {
                continue;
            }
            $bits = null === $finding ? $this->bits($character, $posterior, $identification->unlisted) : 0.0;
            $closes = null === $aim || null === $contrast ? 0.0 : $this->closes($character, $aim, $phases[$contrast->own], $contrast, null === $openRequired ? $left : $dangers);
            // What is required has to be looked at in any case: its effort counts for the order, not against other looks.
            $effort = null === $openRequired ? $character->character->effort : 1.0 + $character->character->effort / 100;
            $worth = ($bits + self::BITS_PER_POINT * $closes) * $visible / $effort;
            if ($worth > 1e-6) {
                $ranked[$id] = [$worth, $bits, $closes];
            }
        }
        uasort($ranked, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
        $suggestions = [];
        foreach (\array_slice($ranked, 0, $most, true) as $id => [$worth, $bits, $closes]) {
            $suggestions[] = $this->explained($compiled, $compiled->characters[$id], $posterior, $aim, $contrast, $worth, $bits, $closes);
        }

        return $suggestions;
    }

    /**
     * For each danger the look most likely to speak against it, given that the tree is what it is taken for; none
     * where the flora knows no difference in sight today.
     *
     * @param list<Danger> $dangers
     *
     * @return array<string, Character> by taxon
     */
    public function thatWouldExclude(Identification $identification, array $dangers, Contrast $contrast, Outlook $outlook): array
    {
        $compiled = $identification->compiled;
        $phases = $outlook->phenology->phases($compiled->flora->taxon($compiled->taxa[$contrast->own]), $outlook->day);
        $inSight = [];
        foreach ($compiled->characters as $id => $character) {
            $scored = $identification->examination->finding($id);
            if (0 !== ($character->phenophases & $phases) && (null === $scored || [] === $scored->decidingValues()) && $outlook->reaches($character->character)) {
                $inSight[$id] = (1.0 - $character->character->misreading) / $character->character->effort;
            }
        }
        $looks = $best = [];
        $steps = array_map(static fn (Danger $danger): array => $danger->steps(), $dangers);
        $numbers = array_map(static fn (Danger $danger): int => $compiled->numbers[$danger->taxon->id], $dangers);
        foreach ($inSight as $id => $ease) {
            $character = $compiled->characters[$id]->character;
            $organ = $character->organ->value;
            $against = $contrast->row($id);
            foreach ($numbers as $d => $number) {
                $worth = $against[$number] * $ease * $steps[$d][$organ];
                if ($worth > ($best[$d] ?? 0.0)) {
                    [$looks[$dangers[$d]->taxon->id], $best[$d]] = [$character, $worth];
                }
            }
        }

        return $looks;
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

    /**
     * @param array<int, float> $posterior
     * @param float             $unlisted  probability of something this flora does not hold: it would read as the flora's trees do on the whole
     */
    private function bits(CompiledCharacter $character, array $posterior, float $unlisted): float
    {
        // What a look tells of the taxon is what the taxon tells of the look: the entropy of what will be read, less
        // what is left of it once the taxon is known. The latter is the same every time and stands ready.
        $sum = $unlisted;
        $known = $unlisted * $character->backgroundSpread;
        foreach ($posterior as $t => $probability) {
            $sum += $probability;
            $known += $probability * $character->spread[$t];
        }
        $unknown = 0.0;
        foreach ($character->read as $o => $row) {
            $mass = $unlisted * $character->background[$o];
            foreach ($posterior as $t => $probability) {
                $mass += $probability * $row[$t];
            }
            if ($mass > 0.0) {
                $unknown -= $mass / $sum * log($mass / $sum);
            }
        }

        return max(0.0, $unknown - $known / $sum) / \M_LN2;
    }

    /**
     * The dangers as the required features in sight will leave them: a look that is not required is worth only what
     * those would not close anyway.
     *
     * @param list<array{int, array<string, float>}> $dangers taxon number, step by organ
     * @param list<string>                           $out     could not be looked at
     *
     * @return list<array{int, array<string, float>}>
     */
    private function leftByRequired(CompiledFlora $compiled, Aim $aim, Contrast $contrast, array $dangers, int $phases, Outlook $outlook, array $out): array
    {
        $closed = array_fill(0, \count($dangers), 0.0);
        foreach ($aim->open as $feature) {
            $character = $compiled->characters[$feature->character];
            if (0 === ($character->phenophases & $phases) || !$outlook->reaches($character->character) || \in_array($feature->character, $out, true)) {
                continue;
            }
            $against = $contrast->row($feature->character);
            foreach ($dangers as $d => [$number, $steps]) {
                $closed[$d] += $steps[$character->character->organ->value] * $against[$number];
            }
        }
        $left = [];
        foreach ($dangers as $d => [$number, $steps]) {
            if ($closed[$d] < 1.0) {
                $left[] = [$number, array_map(static fn (float $step): float => $step * (1.0 - $closed[$d]), $steps)];
            }
        }

        return $left;
    }

    /** @param list<array{int, array<string, float>}> $dangers taxon number, step by organ */
    private function closes(CompiledCharacter $character, Aim $aim, int $phases, Contrast $contrast, array $dangers): float
    {
        if (0 === ($character->phenophases & $phases)) {
            return 0.0;
        }
        $closes = 0.0;
        $required = $aim->requires($character->character->id);
        if (null !== $required) {
            foreach ($required->states as $state) {
                $closes += $character->read[$character->outcomes[$state]][$contrast->own];
            }
            $closes += null === $required->range ? 0.0 : 0.9;
        }
        if (\in_array($character->character->id, $aim->against, true)) {
            $closes = max($closes, self::SECOND_LOOK_TURNS);
        }
        $organ = $character->character->organ->value;
        $against = $contrast->row($character->character->id);
        foreach ($dangers as [$number, $steps]) {
            $closes += $steps[$organ] * $against[$number];
        }

        return $closes;
    }

    /** @param array<int, float> $posterior */
    private function explained(CompiledFlora $compiled, CompiledCharacter $character, array $posterior, ?Aim $aim, ?Contrast $contrast, float $worth, float $bits, float $closes): Suggestion
    {
        $required = null !== $aim?->requires($character->character->id);
        $parted = [];
        if (null !== $aim && null !== $contrast) {
            foreach ($aim->dangers as $danger) {
                if ($danger->stepBy($character->character->organ) > 0.0 && $contrast->against($character->character->id, $compiled->numbers[$danger->taxon->id]) > 0.5) {
                    $parted[] = $danger->taxon->id;
                }
            }
        }
        $flora = $compiled->flora;
        if (null !== $aim && \in_array($character->character->id, $aim->against, true)) {
            $because = 'What was seen speaks against '.$aim->taxon->commonName().'. Look at it once more.';
        } elseif (null !== $aim && [] !== $parted) {
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
