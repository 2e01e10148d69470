<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Examination\Reading;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\CharacterKind;
use Hylognosis\Flora\Description;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Flora\Position;

/** A flora made ready for the engine, for trees of one life stage. Taxa are numbered in the flora's order. */
final readonly class CompiledFlora
{
    /** Numbers are cut into at most so many intervals when the value of a look is reckoned. */
    private const INTERVALS = 16;
    /** Where a character varies with light, vigour or planting, so many trees show any state their description does not name. */
    private const UNUSUAL = 0.02;

    /**
     * @param list<string>                     $taxa         ids by number
     * @param array<string, int>               $numbers      numbers by id
     * @param list<Description>                $descriptions by number, at this life stage
     * @param array<string, CompiledCharacter> $characters   as seen where no height is named
     * @param array<string, array<string, CompiledCharacter>> $heights position → the characters that differ there
     */
    private function __construct(
        public Flora $flora,
        public LifeStage $stage,
        public array $taxa,
        public array $numbers,
        public array $descriptions,
        public array $characters,
        private array $heights,
    ) {
    }

    public static function of(Flora $flora, LifeStage $stage): self
    {
        $taxa = array_keys($flora->taxa);
        $descriptions = [];
        foreach ($flora->taxa as $taxon) {
            $descriptions[] = isset($taxon->stages[$stage->value]) ? $taxon->description->overlaidWith($taxon->stages[$stage->value]) : $taxon->description;
        }
        $characters = array_map(static fn (Character $character): CompiledCharacter => self::character($flora, $character, $descriptions), $flora->characters);

        return new self($flora, $stage, $taxa, array_flip($taxa), $descriptions, $characters, self::heights($flora, $descriptions));
    }

    /** The character as it is read at a height of the tree. */
    public function at(string $character, ?Position $position): CompiledCharacter
    {
        return $this->heights[$position->value ?? ''][$character] ?? $this->characters[$character];
    }

    /** Whether the flora rules this reading out for the taxon. */
    public function rulesOut(int $taxon, Character $character, Reading $reading): bool
    {
        return $this->at($character->id, $reading->position)->rulesOut($taxon, $reading->value);
    }

    /**
     * @param list<Description> $descriptions
     *
     * @return array<string, array<string, CompiledCharacter>>
     */
    private static function heights(Flora $flora, array $descriptions): array
    {
        $heights = [];
        foreach (Position::cases() as $position) {
            $there = $differ = [];
            foreach (array_values($flora->taxa) as $t => $taxon) {
                $overlay = $taxon->positions[$position->value] ?? null;
                $there[] = null === $overlay ? $descriptions[$t] : $descriptions[$t]->overlaidWith($overlay);
                $differ += array_flip($overlay?->characters() ?? []);
            }
            $heights[$position->value] = array_map(
                static fn (Character $character): CompiledCharacter => self::character($flora, $character, $there),
                array_intersect_key($flora->characters, $differ),
            );
        }

        return $heights;
    }

    /** @param list<Description> $descriptions */
    private static function character(Flora $flora, Character $character, array $descriptions): CompiledCharacter
    {
        return $character->isNumeric() ? self::numeric($flora, $character, $descriptions) : self::states($flora, $character, $descriptions);
    }

    /** @param list<Description> $descriptions */
    private static function states(Flora $flora, Character $character, array $descriptions): CompiledCharacter
    {
        $ids = array_keys($character->states);
        $count = \count($ids);
        $silent = $inapplicable = [];
        $sums = array_fill_keys($ids, 1.0 / $count);
        $described = 1.0;
        foreach ($descriptions as $t => $description) {
            $frequencies = self::shares($description, $character);
            if (null !== $frequencies) {
                ++$described;
                foreach ($frequencies as $id => $share) {
                    $sums[$id] += $share;
                }
            } elseif ($flora->isInapplicable($description, $character)) {
                $inapplicable[$t] = true;
            } else {
                $silent[$t] = true;
            }
        }
        $background = array_map(static fn (float $sum): float => $sum / $described, $sums);
        $matrix = MisreadingModel::misread($character);
        $shown = $misread = $ruledOut = [];
        foreach ($descriptions as $t => $description) {
            $frequencies = self::shares($description, $character);
            foreach ($ids as $s => $id) {
                $ruledOut[$s][] = isset($inapplicable[$t]) || (null !== $frequencies && 0.0 === ($frequencies[$id] ?? 0.0));
                $shown[$s][] = isset($inapplicable[$t]) ? 0.0 : (null === $frequencies ? $background[$id] : $frequencies[$id] ?? 0.0);
                $wrong = null === $frequencies ? (isset($inapplicable[$t]) ? 1.0 / $count : $background[$id]) : 0.0;
                foreach ($frequencies ?? [] as $true => $share) {
                    $wrong += $share * ($matrix[$true][$id] ?? 0.0);
                }
                $misread[$s][] = $wrong;
            }
        }

        return self::withReadings($character, array_flip($ids), [], $shown, $misread, $ruledOut, array_values($background), [], $silent, $inapplicable);
    }

    /** @return array<string, float>|null state → share of the taxon's trees that show it; null where the flora is silent */
    private static function shares(Description $description, Character $character): ?array
    {
        $shares = $description->frequencies($character->id);
        if (null === $shares || !$character->varies) {
            return $shares;
        }
        $unusual = array_fill_keys(array_keys(array_diff_key($character->states, array_filter($shares, static fn (float $share): bool => $share > 0.0))), self::UNUSUAL);
        $sum = 1.0 + array_sum($unusual);

        return array_map(static fn (float $share): float => $share / $sum, $unusual + $shares);
    }

    /** @param list<Description> $descriptions */
    private static function numeric(Flora $flora, Character $character, array $descriptions): CompiledCharacter
    {
        $whole = CharacterKind::Count === $character->kind;
        $ranges = $silent = $inapplicable = $bounds = [];
        foreach ($descriptions as $t => $description) {
            $range = $description->range($character->id);
            if (null !== $range) {
                $ranges[$t] = $range;
                $end = $whole ? 1.0 : 0.0;
                array_push($bounds, $range->least, $range->low, $range->high + $end, $range->most + $end);
            } elseif ($flora->isInapplicable($description, $character)) {
                $inapplicable[$t] = true;
            } else {
                $silent[$t] = true;
            }
        }
        $edges = self::edges($bounds);
        $shown = $misread = $ruledOut = $background = [];
        for ($b = 0, $n = \count($edges) - 1; $b < $n; ++$b) {
            $row = [];
            foreach ($descriptions as $t => $_) {
                $row[] = isset($ranges[$t]) ? $ranges[$t]->share($edges[$b], $edges[$b + 1], $whole) : 0.0;
            }
            $background[$b] = 0.9 * array_sum($row) / max(1, \count($ranges)) + 0.1 / $n;
            foreach ($row as $t => $share) {
                $shown[$b][] = isset($silent[$t]) ? $background[$b] : $share;
                $misread[$b][] = $background[$b];
                $ruledOut[$b][] = isset($inapplicable[$t]) || (!$character->varies && isset($ranges[$t]) && 0.0 === $share);
            }
        }

        return self::withReadings($character, [], $edges, $shown, $misread, $ruledOut, $background, $ranges, $silent, $inapplicable);
    }

    /**
     * @param list<float> $bounds
     *
     * @return list<float> rising, at least two
     */
    private static function edges(array $bounds): array
    {
        $edges = array_values(array_unique($bounds));
        sort($edges);
        if (\count($edges) < 2) {
            return [0.0, ($edges[0] ?? 0.0) + 1.0];
        }
        if (\count($edges) > self::INTERVALS + 1) {
            $last = \count($edges) - 1;
            $edges = array_map(static fn (int $i): float => $edges[(int) round($i * $last / self::INTERVALS)], range(0, self::INTERVALS));
        }

        return $edges;
    }

    /**
     * @param array<string, int>                    $outcomes
     * @param list<float>                           $edges
     * @param array<int, list<float>>               $shown
     * @param array<int, list<float>>               $misread
     * @param array<int, list<bool>>                $ruledOut
     * @param array<int, float>                     $background
     * @param array<int, \Hylognosis\Flora\NumberRange> $ranges
     * @param array<int, true>                      $silent
     * @param array<int, true>                      $inapplicable
     */
    private static function withReadings(Character $character, array $outcomes, array $edges, array $shown, array $misread, array $ruledOut, array $background, array $ranges, array $silent, array $inapplicable): CompiledCharacter
    {
        $rate = MisreadingModel::plainRate($character);
        $read = [];
        $spread = array_fill(0, \count($shown[0]), 0.0);
        foreach ($shown as $o => $row) {
            foreach ($row as $t => $share) {
                $probability = max(1e-9, (1.0 - $rate) * $share + $rate * $misread[$o][$t]);
                $read[$o][] = $probability;
                $spread[$t] -= $probability * log($probability);
            }
        }
        $backgroundSpread = 0.0;
        foreach ($background as $probability) {
            $backgroundSpread -= $probability > 0.0 ? $probability * log($probability) : 0.0;
        }
        $phases = 0;
        foreach (Phenophase::cases() as $bit => $phase) {
            $phases |= \in_array($phase, $character->phenophases, true) ? 1 << $bit : 0;
        }

        return new CompiledCharacter(
            $character, $outcomes, $edges, array_values($shown), array_values($misread), array_values($read), array_values($spread),
            array_values($ruledOut), array_values($background), $backgroundSpread, $ranges, $silent, $inapplicable, $phases,
        );
    }
}
