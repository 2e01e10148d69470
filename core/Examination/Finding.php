<?php

declare(strict_types=1);

namespace Hylognosis\Examination;

use Hylognosis\Flora\Character;
use Hylognosis\Flora\Position;
use Hylognosis\Measure\SampleSummary;

/**
 * All scores of one character of one specimen, taken together, height by height. Scores of one height that cannot both
 * be right disagree until a further look settles it ({@see Dispute}). Nothing is overwritten.
 */
final readonly class Finding
{
    /**
     * @param non-empty-list<Observation> $all       taken back ones among them
     * @param list<Observation>           $standing  those that count; all that were not taken back while a disagreement
     *                                         is open
     * @param bool                        $disagrees at some height
     */
    private function __construct(
        public Character $character,
        public array $all,
        public array $standing,
        public bool $disagrees,
    ) {
    }

    /** @param non-empty-list<Observation> $observations of one character */
    public static function of(array $observations): self
    {
        $standing = [];
        $disagrees = false;
        foreach (Position::cases() as $position) {
            $there = array_values(
                array_filter($observations, static fn (Observation $o): bool => $o->position === $position),
            );
            $settled = Dispute::settled($there);
            $disagrees = $disagrees || null === $settled;
            array_push(
                $standing,
                ...$settled ?? array_filter($there, static fn (Observation $o): bool => !$o->look->takenBack),
            );
        }

        return new self($observations[0]->character, $observations, $standing, $disagrees);
    }

    /** @return list<string>|list<float> every value seen, and every one that may have been */
    public function values(): array
    {
        return self::merged($this->standing);
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

    /** @return list<Observation> what was seen for sure on the tree; none while scores disagree */
    public function decidingObservations(): array
    {
        return $this->disagrees ? [] : $this->deciding();
    }

    /**
     * @return list<Reading> what was scored and taken back, and no further look at that height of the tree has settled
     *     since
     */
    public function unsettledTakenBack(): array
    {
        if ([] === array_filter($this->all, static fn (Observation $o): bool => $o->look->takenBack)) {
            return [];
        }
        $unsettled = [];
        foreach (Position::cases() as $position) {
            $there = array_values(
                array_filter($this->all, static fn (Observation $o): bool => $o->position === $position),
            );
            if (!Dispute::outvotesTakenBack($there)) {
                array_push($unsettled, ...array_filter($there, static fn (Observation $o): bool => $o->look->takenBack));
            }
        }

        return self::read($unsettled);
    }

    /** Whether all that counts says that the character makes no sense on this tree. */
    public function isNotApplicable(): bool
    {
        return [] !== $this->standing
            && [] === array_filter($this->standing, static fn (Observation $o): bool => !$o->isNotApplicable());
    }

    /** The numbers in a few figures; none where states were scored. */
    public function summary(): ?SampleSummary
    {
        $numbers = array_values(array_filter($this->values(), is_float(...)));

        return [] === $numbers ? null : SampleSummary::of($numbers);
    }

    /** On how many twigs, leaves, fruits at once: the same twig scored twice is one twig. */
    public function samples(): int
    {
        return max([1, ...array_map(static fn (Observation $o): int => $o->samples, $this->standing)]);
    }

    /** Seen on the tree at least once, sure or likely. */
    public function isOnTheTree(): bool
    {
        foreach ($this->standing as $observation) {
            if (
                Whereabouts::Tree === $observation->where
                && Certainty::Unsure !== $observation->certainty
                && !$observation->isNotApplicable()
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * Nothing of it was seen on the tree but, perhaps, unsurely: an unsure glance does not lend weight to what lies
     * below.
     */
    public function isLitter(): bool
    {
        $litter = false;
        foreach ($this->standing as $observation) {
            $litter = $litter || Whereabouts::Ground === $observation->where;
        }

        return $litter && !$this->isOnTheTree();
    }

    /** The best certainty among the scores that stand. */
    public function misreadingFactor(): float
    {
        return min([
            Certainty::Unsure->misreadingFactor(),
            ...array_map(static fn (Observation $o): float => $o->certainty->misreadingFactor(), $this->standing),
        ]);
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
            foreach ($observation->readings() as $reading) {
                if (null === $reading->number()) {
                    $readings[$reading->key()] = $reading;
                } else {
                    $readings[] = $reading;
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
        $states = array_values(
            array_unique(array_merge(...array_map(static fn (Observation $o): array => $o->states, $observations))),
        );
        sort($states);

        return $states;
    }
}
