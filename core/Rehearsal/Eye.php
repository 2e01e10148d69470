<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

use Hylognosis\Flora\Character;
use Hylognosis\Identification\CompiledCharacter;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\MisreadingModel;

/**
 * How a simulated examiner reads. A tree that shows mostly one value shows another beside it in one look out of five. A
 * look goes wrong at the examiner's rate, more often for characters the flora calls easily misread, never less often
 * than a fifth of that rate; then another state is read: half the time the one the examiner hopes for, otherwise mostly
 * one the flora names as confused with the true one, or, for numbers, what some other taxon of the flora would show.
 * More samples do not help: the same eye makes the same mistake.
 */
final readonly class Eye
{
    /** A second look repeats the first reading so often, right or wrong. */
    public const REPEATS = 0.3;
    /** So many of the misreadings lean toward the hope (an assumption). */
    private const LEANS = 0.5;
    private const ALSO_SHOWN = 0.2;
    private const LEAST_SHARE = 0.2;
    private const MOST = 0.6;

    /** @param array<string, float>|null $counted by character; null: as the flora says, at the examiner's mean */
    private function __construct(private ExaminerKind $kind, private float $mean, private ?array $counted = null)
    {
    }

    public static function of(ExaminerKind $kind, CompiledFlora $compiled): self
    {
        $rates = array_map(
            static fn (CompiledCharacter $c): float => $c->character->legibility->misreading,
            $compiled->characters,
        );

        return new self($kind, max(1e-9, array_sum($rates) / \count($rates)));
    }

    /**
     * An eye whose misreadings were counted, character by character. What nobody has counted is misread as the flora
     * says, by as much more or less as the counted ones are.
     *
     * @param array<string, float> $counted character → share of looks misread, 0 to 1
     */
    public static function counted(array $counted, CompiledFlora $compiled): self
    {
        $said = $found = 0.0;
        foreach ($compiled->characters as $c) {
            $rate = $c->character->legibility->misreading;
            if ($rate > 0.0 && isset($counted[$c->character->id])) {
                $said += $rate;
                $found += $counted[$c->character->id];
            }
        }

        return new self(ExaminerKind::Average, $said > 0.0 ? $found / $said : 1.0, $counted);
    }

    /** Probability, 0 to 0.6, that a look at this character is misread. */
    public function rate(Character $character): float
    {
        if (null !== $this->counted) {
            return min(
                self::MOST,
                $this->counted[$character->id] ?? $this->mean * $character->legibility->misreading,
            );
        }

        return min(
            self::MOST,
            max(
                self::LEAST_SHARE * $this->kind->rate(),
                ($this->kind->rate() * $character->legibility->misreading) / $this->mean,
            ),
        );
    }

    /**
     * What one look can read on a tree that shows mostly the given value.
     *
     * @param list<string|float> $hoped what the examiner would like to read
     *
     * @return non-empty-list<ReadValues>
     */
    public function reads(CompiledCharacter $character, Showing $showing, int $mostly, array $hoped = []): array
    {
        $rate = $this->rate($character->character);
        $true = $showing->values[$mostly];
        $reads = [new ReadValues([$true], (1 - $rate) * (1 - self::ALSO_SHOWN * (1 - $showing->shares[$mostly])))];
        foreach ($showing->values as $i => $value) {
            if ($i !== $mostly) {
                $reads[] = new ReadValues([$true, $value], (1 - $rate) * self::ALSO_SHOWN * $showing->shares[$i]);
            }
        }
        foreach (
            $this->wrong(
                $character,
                $true,
                array_values(array_filter($hoped, static fn (string|float $value): bool => $value !== $true)),
            ) as [$value, $share]
        ) {
            $reads[] = new ReadValues([$value], $rate * $share);
        }

        return $reads;
    }

    /**
     * @param list<string|float> $hoped but the true one
     *
     * @return list<array{string|float, float}> value → share of the misreadings
     */
    private function wrong(CompiledCharacter $character, string|float $true, array $hoped): array
    {
        $leans = [] === $hoped ? 0.0 : self::LEANS;
        $wrong = [];
        foreach (
            \is_string($true)
                ? MisreadingModel::misread($character->character)[$true] ?? []
                : self::elsewhere($character, $true) as $value => $share
        ) {
            $wrong[] = [\is_string($true) ? (string) $value : (float) $value, (1.0 - $leans) * $share];
        }
        foreach ($hoped as $value) {
            $wrong[] = [$value, $leans / \count($hoped)];
        }

        return $wrong;
    }

    /** @return array<int|string, float> numbers other taxa show → share of the misreadings */
    private static function elsewhere(CompiledCharacter $character, float $true): array
    {
        $numbers = [];
        foreach ($character->ranges as $range) {
            $number = ($range->low + $range->high) / 2;
            $number = $character->isCount() ? round($number) : round($number, 1);
            if ($number !== $true) {
                $numbers[(string) $number] = ($numbers[(string) $number] ?? 0.0) + 1.0;
            }
        }
        $sum = array_sum($numbers);

        return array_map(static fn (float $count): float => $count / $sum, $numbers);
    }
}
