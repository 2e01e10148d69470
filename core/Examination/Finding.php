<?php

declare(strict_types=1);

namespace Hylognosis\Examination;

use Hylognosis\Flora\Character;
use Hylognosis\Measure\SampleSummary;

/**
 * All scores of one character of one specimen, taken together. Scores that cannot both be right disagree.
 * A further look settles it: a side with at least two sure looks on the tree, and more looks than all other
 * sides have, stands. Nothing is overwritten.
 */
final readonly class Finding
{
    /**
     * @param non-empty-list<Observation> $all
     * @param non-empty-list<Observation> $standing those that count; all of them while a disagreement is open
     */
    private function __construct(public Character $character, public array $all, public array $standing, public bool $disagrees)
    {
    }

    /** @param non-empty-list<Observation> $observations of one character */
    public static function of(array $observations): self
    {
        $sides = self::sides($observations);
        if (1 === \count($sides)) {
            return new self($observations[0]->character, $observations, $observations, false);
        }
        foreach ($sides as $side) {
            $sure = \count(array_filter($side, static fn (Observation $o): bool => $o->canDecide()));
            if ($sure >= 2 && $sure > \count($observations) - \count($side)) {
                return new self($observations[0]->character, $observations, $side, false);
            }
        }

        return new self($observations[0]->character, $observations, $observations, true);
    }

    /** @return list<string>|list<float> every value seen */
    public function values(): array
    {
        return self::merged($this->standing);
    }

    /** @return list<string>|list<float> every value seen for sure on the tree; none while scores disagree */
    public function decidingValues(): array
    {
        return $this->disagrees ? [] : self::merged($this->deciding());
    }

    /** @return list<Reading> every value seen, with the height it was seen at */
    public function readings(): array
    {
        return self::read($this->standing);
    }

    /** @return list<Reading> every value seen for sure on the tree; none while scores disagree */
    public function decidingReadings(): array
    {
        return $this->disagrees ? [] : self::read($this->deciding());
    }

    /** The numbers in a few figures; none where states were scored. */
    public function summary(): ?SampleSummary
    {
        $numbers = array_values(array_filter($this->values(), is_float(...)));

        return [] === $numbers ? null : SampleSummary::of($numbers);
    }

    /** On how many twigs, leaves, fruits it was seen for sure on the tree. */
    public function decidingSamples(): int
    {
        return array_sum(array_map(static fn (Observation $o): int => $o->samples, $this->deciding()));
    }

    public function samples(): int
    {
        return array_sum(array_map(static fn (Observation $o): int => $o->samples, $this->standing));
    }

    /** Seen on the tree at least once, sure or likely. */
    public function isOnTheTree(): bool
    {
        foreach ($this->standing as $observation) {
            if (Whereabouts::Tree === $observation->where && Certainty::Unsure !== $observation->certainty) {
                return true;
            }
        }

        return false;
    }

    public function isLitter(): bool
    {
        foreach ($this->standing as $observation) {
            if (Whereabouts::Tree === $observation->where) {
                return false;
            }
        }

        return true;
    }

    /** The best certainty among the scores that stand. */
    public function misreadingFactor(): float
    {
        return min(array_map(static fn (Observation $o): float => $o->certainty->misreadingFactor(), $this->standing));
    }

    /** @return list<Observation> */
    private function deciding(): array
    {
        return array_values(array_filter($this->standing, static fn (Observation $o): bool => $o->canDecide()));
    }

    /**
     * @param list<Observation> $observations
     *
     * @return list<Reading> each state once for each height; numbers one by one
     */
    private static function read(array $observations): array
    {
        $readings = [];
        foreach ($observations as $observation) {
            foreach ($observation->values() as $value) {
                $reading = new Reading($value, $observation->position);
                if (\is_float($value)) {
                    $readings[] = $reading;
                } else {
                    $readings[$reading->key()] = $reading;
                }
            }
        }

        return array_values($readings);
    }

    /**
     * @param list<Observation> $observations
     *
     * @return list<string>|list<float>
     */
    private static function merged(array $observations): array
    {
        $numbers = array_merge(...array_map(static fn (Observation $o): array => $o->numbers, $observations));
        if ([] !== $numbers) {
            sort($numbers);

            return $numbers;
        }
        $states = array_values(array_unique(array_merge(...array_map(static fn (Observation $o): array => $o->states, $observations))));
        sort($states);

        return $states;
    }

    /**
     * @param non-empty-list<Observation> $observations
     *
     * @return non-empty-list<non-empty-list<Observation>> the scores that hang together by agreement
     */
    private static function sides(array $observations): array
    {
        $sides = [];
        foreach ($observations as $observation) {
            $joined = [$observation];
            foreach ($sides as $i => $side) {
                foreach ($side as $other) {
                    if ($observation->agreesWith($other)) {
                        $joined = [...$side, ...$joined];
                        unset($sides[$i]);
                        break;
                    }
                }
            }
            $sides[] = $joined;
        }

        return array_values($sides);
    }
}
