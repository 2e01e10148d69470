<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Examination\Reading;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\CharacterKind;
use Hylognosis\Flora\Description;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\NumberRange;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Flora\Position;
use Hylognosis\Flora\StatedNever;
use Hylognosis\Flora\Taxon;

/** A flora made ready for the engine, for trees of one life stage. Taxa are numbered in the flora's order. */
final readonly class CompiledFlora
{
    /** Numbers are cut into at most so many intervals when the value of a look is reckoned. */
    private const INTERVALS = 16;

    /**
     * @param list<string>                     $taxa         ids by number
     * @param array<string, int>               $numbers      numbers by id
     * @param list<Description>                $descriptions by number, at this life stage
     * @param array<string, CompiledCharacter> $characters   as seen where no height is named
     * @param array<string, array<string, CompiledCharacter>>       $heights position → the characters that differ there
     * @param list<array<string, list<StatedNever>>>                $nevers  by number, then character; those nobody
     *                                         doubts
     * @param float                                                 $error   how often a look at a described character
     *                                         finds what is not listed, 0 to 1
     */
    private function __construct(
        public Flora $flora,
        public LifeStage $stage,
        public array $taxa,
        public array $numbers,
        public array $descriptions,
        public array $characters,
        private array $heights,
        public array $nevers,
        public float $error,
    ) {
    }

    /** @param float $error {@see DescriptionError::RATE}; another only to see what it would do */
    public static function of(Flora $flora, LifeStage $stage, float $error = DescriptionError::RATE): self
    {
        [$descriptions, $nevers] = [self::descriptions($flora, $stage), self::nevers($flora)];
        $heights = [];
        foreach (self::overlaid($flora, $descriptions) as $position => [$there, $differ]) {
            $heights[$position] = array_map(
                static fn (Character $character): CompiledCharacter => self::character(
                    $flora,
                    $character,
                    $there,
                    $nevers,
                    $error,
                ),
                $differ,
            );
        }
        $characters = array_map(
            static fn (Character $character): CompiledCharacter => self::character(
                $flora,
                $character,
                $descriptions,
                $nevers,
                $error,
            ),
            $flora->characters,
        );

        return self::assembled($flora, $stage, $descriptions, $characters, $heights, $nevers, $error);
    }

    /**
     * The flora with tables reckoned before, of this same edition and life stage: they are what takes long.
     *
     * @param CompiledTables $tables {@see tables}
     */
    public static function with(Flora $flora, LifeStage $stage, CompiledTables $tables): self
    {
        $descriptions = self::descriptions($flora, $stage);
        $heights = [];
        foreach (self::overlaid($flora, $descriptions) as $position => [$there, $differ]) {
            $heights[$position] = array_map(
                static fn (Character $character): CompiledCharacter => CompiledCharacter::of(
                    $character,
                    $tables->heights[$position][$character->id],
                    self::ranges($character, $there),
                ),
                $differ,
            );
        }
        $characters = array_map(
            static fn (Character $character): CompiledCharacter => CompiledCharacter::of(
                $character,
                $tables->characters[$character->id],
                self::ranges($character, $descriptions),
            ),
            $flora->characters,
        );

        return self::assembled(
            $flora,
            $stage,
            $descriptions,
            $characters,
            $heights,
            self::nevers($flora),
            $tables->error,
        );
    }

    public function tables(): CompiledTables
    {
        $table = static fn (CompiledCharacter $character): array => $character->table();

        return new CompiledTables(
            array_map($table, $this->characters),
            array_map(static fn (array $there): array => array_map($table, $there), $this->heights),
            $this->error,
        );
    }

    /**
     * @param list<Description>                                      $descriptions
     * @param array<string, CompiledCharacter>                       $characters
     * @param array<string, array<string, CompiledCharacter>>        $heights
     * @param list<array<string, list<StatedNever>>>                 $nevers
     */
    private static function assembled(
        Flora $flora,
        LifeStage $stage,
        array $descriptions,
        array $characters,
        array $heights,
        array $nevers,
        float $error,
    ): self {
        $taxa = array_keys($flora->taxa);

        return new self(
            $flora,
            $stage,
            $taxa,
            array_flip($taxa),
            $descriptions,
            $characters,
            $heights,
            $nevers,
            $error,
        );
    }

    /**
     * @param list<Description> $descriptions
     *
     * @return array<int, NumberRange> taxon → described range; none but for numbers
     */
    private static function ranges(Character $character, array $descriptions): array
    {
        $ranges = [];
        foreach ($character->isNumeric() ? $descriptions : [] as $t => $description) {
            $range = $description->range($character->id);
            if (null !== $range) {
                $ranges[$t] = $range;
            }
        }

        return $ranges;
    }

    /**
     * What is described otherwise at a height of the tree.
     *
     * @param list<Description> $descriptions
     *
     * @return iterable<string, array{list<Description>, array<string, Character>}> position → descriptions there,
     *                                         characters that differ
     */
    private static function overlaid(Flora $flora, array $descriptions): iterable
    {
        foreach (Position::cases() as $position) {
            $there = $differ = [];
            foreach (array_values($flora->taxa) as $t => $taxon) {
                $overlay = $taxon->variants->positions[$position->value] ?? null;
                $there[] = null === $overlay ? $descriptions[$t] : $descriptions[$t]->overlaidWith($overlay);
                $differ += array_flip($overlay?->characters() ?? []);
            }
            yield $position->value => [$there, array_intersect_key($flora->characters, $differ)];
        }
    }

    /** @return list<Description> by taxon number, at a life stage */
    private static function descriptions(Flora $flora, LifeStage $stage): array
    {
        return array_map(
            static fn (Taxon $taxon): Description => isset($taxon->variants->stages[$stage->value])
                ? $taxon->description->overlaidWith($taxon->variants->stages[$stage->value])
                : $taxon->description,
            array_values($flora->taxa),
        );
    }

    /** @return list<array<string, list<StatedNever>>> by taxon number, then character */
    private static function nevers(Flora $flora): array
    {
        return array_map(static fn (Taxon $taxon): array => $taxon->standingNevers(), array_values($flora->taxa));
    }

    /** The character as it is read at a height of the tree. */
    public function at(string $character, Position $position): CompiledCharacter
    {
        return $this->heights[$position->value][$character] ?? $this->characters[$character];
    }

    /**
     * The stated nevers a reading contradicts; none where it contradicts none. Where one of several was seen, each of
     * them must be forbidden. What never has needles never has bands on them, nor the scars of needles on its shoots:
     * then the line about the needles is the one leaned on, and the organ is the one it was seen in.
     *
     * @return list<StatedNever>
     */
    public function forbidding(int $taxon, Character $character, Reading $reading): array
    {
        $lines = [];
        foreach ($reading->oneOf as $value) {
            $line = self::lineAgainst($this->nevers[$taxon][$character->id] ?? [], $value);
            if (null === $line) {
                return self::neverApplies($this->nevers[$taxon], $character);
            }
            $lines[$line->id] = $line;
        }

        return array_values($lines);
    }

    /**
     * Whether a reading shows what the taxon's description, at that height, does not list: unusual, and no more than
     * that.
     */
    public function isUnusual(int $taxon, Character $character, Reading $reading): bool
    {
        $there = $this->at($character->id, $reading->position);
        foreach ($reading->oneOf as $value) {
            if (!$there->isUnlisted($taxon, $value)) {
                return false;
            }
        }

        return $character->isFirm();
    }

    /**
     * @param array<string, list<StatedNever>> $nevers of one taxon, by character
     *
     * @return list<StatedNever> the lines by which the character can make no sense on the taxon; none where it could
     */
    private static function neverApplies(array $nevers, Character $character): array
    {
        $lines = [];
        foreach ($character->applies->states ?? [] as $state) {
            $line = self::lineAgainst($nevers[$character->applies->character ?? ''] ?? [], $state);
            if (null === $line) {
                return [];
            }
            $lines[$line->id] = $line;
        }

        return array_values($lines);
    }

    /** @param list<StatedNever> $lines */
    private static function lineAgainst(array $lines, string|float $value): ?StatedNever
    {
        foreach ($lines as $line) {
            if ($line->forbids($value)) {
                return $line;
            }
        }

        return null;
    }

    /**
     * @param list<Description>                       $descriptions
     * @param list<array<string, list<StatedNever>>> $nevers
     */
    private static function character(
        Flora $flora,
        Character $character,
        array $descriptions,
        array $nevers,
        float $error,
    ): CompiledCharacter {
        return $character->isNumeric()
            ? self::numeric($flora, $character, $descriptions, $nevers, $error)
            : self::states($flora, $character, $descriptions, $nevers, $error);
    }

    /**
     * @param list<Description>                       $descriptions
     * @param list<array<string, list<StatedNever>>> $nevers
     */
    private static function states(
        Flora $flora,
        Character $character,
        array $descriptions,
        array $nevers,
        float $error,
    ): CompiledCharacter {
        $ids = array_keys($character->states);
        $count = \count($ids);
        $silent = $inapplicable = [];
        $sums = array_fill_keys($ids, 1.0 / $count);
        $described = 1.0;
        foreach ($descriptions as $t => $description) {
            $listed = $description->frequencies($character->id);
            if (null !== $listed) {
                ++$described;
                foreach ($listed as $id => $share) {
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
        $shown = $misread = [];
        $never = $unlisted = array_fill(0, $count, []);
        foreach ($descriptions as $t => $description) {
            $listed = $description->frequencies($character->id);
            $lines = $nevers[$t][$character->id] ?? [];
            $shares = isset($inapplicable[$t])
                ? array_map(
                    static fn (float $share): float => [] === self::neverApplies($nevers[$t], $character)
                        ? $error * $share
                        : 0.0,
                    $background,
                ) // should it make sense after all
                : self::withError($listed ?? $background, $lines, $ids, $error);
            foreach ($ids as $s => $id) {
                if (null !== self::lineAgainst($lines, $id)) {
                    $never[$s][$t] = true;
                }
                if (isset($inapplicable[$t]) || (null !== $listed && 0.0 === ($listed[$id] ?? 0.0))) {
                    $unlisted[$s][$t] = true;
                }
                $shown[$s][] = $shares[$id];
                $wrong = isset($inapplicable[$t]) ? 1.0 / $count : 0.0;
                foreach (isset($inapplicable[$t]) ? [] : $shares as $true => $share) {
                    $wrong += $share * ($matrix[$true][$id] ?? 0.0);
                }
                $misread[$s][] = $wrong;
            }
        }

        return self::withReadings(
            $character,
            array_flip($ids),
            [],
            $shown,
            $misread,
            $never,
            $unlisted,
            array_values($background),
            [],
            $silent,
            $inapplicable,
        );
    }

    /**
     * What trees show, description error included: a small share for all states together that are neither listed nor
     * stated never.
     *
     * @param array<string, float> $listed summing to 1
     * @param list<StatedNever>    $lines
     * @param list<string>         $ids    of all states
     *
     * @return array<string, float> for every state, summing to 1
     */
    private static function withError(array $listed, array $lines, array $ids, float $rate): array
    {
        $possible = array_filter($ids, static fn (string $id): bool => null === self::lineAgainst($lines, $id));
        $unlisted = array_filter($possible, static fn (string $id): bool => 0.0 === ($listed[$id] ?? 0.0));
        $error = [] === $unlisted ? 0.0 : $rate;
        $sum = array_sum(array_intersect_key($listed, array_flip($possible)));
        $shares = array_fill_keys($ids, 0.0);
        foreach ($possible as $id) {
            $shares[$id] = (($listed[$id] ?? 0.0) / max(MisreadingModel::LEAST_PROBABILITY, $sum)) * (1.0 - $error);
        }
        foreach ($unlisted as $id) {
            $shares[$id] = $error / \count($unlisted);
        }

        return $shares;
    }

    /**
     * @param list<Description>                       $descriptions
     * @param list<array<string, list<StatedNever>>> $nevers
     */
    private static function numeric(
        Flora $flora,
        Character $character,
        array $descriptions,
        array $nevers,
        float $rate,
    ): CompiledCharacter {
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
        $shown = $misread = $background = [];
        $never = $unlisted = array_fill(0, \count($edges) - 1, []);
        for ($b = 0, $n = \count($edges) - 1; $b < $n; ++$b) {
            $row = [];
            foreach ($descriptions as $t => $_) {
                $row[] = isset($ranges[$t]) ? $ranges[$t]->share($edges[$b], $edges[$b + 1], $whole) : 0.0;
            }
            $background[$b] = (0.9 * array_sum($row)) / max(1, \count($ranges)) + 0.1 / $n;
            foreach ($row as $t => $share) {
                $forbidden = self::isNeverIn($nevers[$t][$character->id] ?? [], $edges[$b], $edges[$b + 1]);
                $error = $forbidden ? 0.0 : $rate * $background[$b];
                $shown[$b][] = isset($silent[$t])
                    ? $background[$b]
                    : (isset($inapplicable[$t])
                        ? $error
                        : (1.0 - $rate) * $share + $error);
                $misread[$b][] = $background[$b];
                if ($forbidden) {
                    $never[$b][$t] = true;
                }
                if (isset($inapplicable[$t]) || (isset($ranges[$t]) && 0.0 === $share)) {
                    $unlisted[$b][$t] = true;
                }
            }
        }

        return self::withReadings(
            $character,
            [],
            $edges,
            $shown,
            $misread,
            $never,
            $unlisted,
            $background,
            $ranges,
            $silent,
            $inapplicable,
        );
    }

    /**
     * Whether every count in [from, to) is stated never.
     *
     * @param list<StatedNever> $lines
     */
    private static function isNeverIn(array $lines, float $from, float $to): bool
    {
        if ([] === $lines) {
            return false;
        }
        for ($count = $from; $count < $to; ++$count) {
            if (null === self::lineAgainst($lines, $count)) {
                return false;
            }
        }

        return true;
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
            $edges = array_map(
                static fn (int $i): float => $edges[(int) round(($i * $last) / self::INTERVALS)],
                range(0, self::INTERVALS),
            );
        }

        return $edges;
    }

    /**
     * @param array<string, int>      $outcomes
     * @param list<float>             $edges
     * @param array<int, list<float>> $shown
     * @param array<int, list<float>> $misread
     * @param list<array<int, true>>  $never
     * @param list<array<int, true>>  $unlisted
     * @param array<int, float>       $background
     * @param array<int, NumberRange> $ranges
     * @param array<int, true>        $silent
     * @param array<int, true>        $inapplicable
     */
    private static function withReadings(
        Character $character,
        array $outcomes,
        array $edges,
        array $shown,
        array $misread,
        array $never,
        array $unlisted,
        array $background,
        array $ranges,
        array $silent,
        array $inapplicable,
    ): CompiledCharacter {
        $rate = MisreadingModel::plainRate($character);
        $read = [];
        $spread = array_fill(0, \count($shown[0]), 0.0);
        foreach ($shown as $o => $row) {
            foreach ($row as $t => $share) {
                $probability = MisreadingModel::read($rate, $share, $misread[$o][$t]);
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
            $phases |= \in_array($phase, $character->sight->phenophases, true) ? 1 << $bit : 0;
        }

        return new CompiledCharacter(
            character: $character,
            outcomes: $outcomes,
            edges: $edges,
            shown: array_values($shown),
            misread: array_values($misread),
            read: array_values($read),
            spread: array_values($spread),
            bitsAtFirst: Curious::told(
                $read,
                $spread,
                $background,
                $backgroundSpread,
                array_fill(0, \count($spread), Identifier::prior(\count($spread))),
                Identifier::UNLISTED,
            ),
            never: $never,
            unlisted: $unlisted,
            background: array_values($background),
            backgroundSpread: $backgroundSpread,
            ranges: $ranges,
            silent: $silent,
            inapplicable: $inapplicable,
            phenophases: $phases,
        );
    }
}
