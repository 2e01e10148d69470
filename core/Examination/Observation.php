<?php

declare(strict_types=1);

namespace Hylognosis\Examination;

use Hylognosis\Flora\Character;
use Hylognosis\Flora\CharacterKind;
use Hylognosis\Flora\Position;
use Hylognosis\Flora\UnknownEntry;

/** One scored character. */
final readonly class Observation
{
    public const MOST_SAMPLES = 200;
    public const LARGEST_NUMBER = 10_000;
    /** Two measurements can both be right unless one is more than half as high again as the other. */
    private const APART = 1.5;

    /**
     * @param list<string> $states
     * @param list<float>  $numbers in the character's unit
     * @param int          $samples how many twigs, leaves, fruits were looked at
     * @param bool         $either  one of the states was seen, and which could not be told; otherwise all of them were
     */
    private function __construct(
        public Character $character,
        public array $states,
        public array $numbers,
        public Certainty $certainty,
        public int $samples,
        public Whereabouts $where,
        public Position $position,
        public Look $look,
        public bool $either = false,
    ) {
    }

    /**
     * What somebody answered to the question of a character: states or numbers, nothing there, or that it makes no
     * sense here. "Cannot be seen" is no observation.
     *
     * @param list<string> $states
     * @param list<float>  $numbers in the character's unit, 0 to 10,000
     *
     * @throws UnusableScore if the answer, its values and the character do not suit one another
     * @throws UnknownEntry  if the character has no such state
     */
    public static function of(
        Character $character,
        ScoreAnswer $answer,
        array $states,
        array $numbers,
        Certainty $certainty,
        int $samples,
        Whereabouts $where,
        ?Position $position,
        bool $either,
        Look $look,
    ): self {
        if ([] !== $states && [] !== $numbers) {
            throw UnusableScore::in('numbers', 'Give states or numbers, not both.');
        }
        if (ScoreAnswer::Seen !== $answer && ([] !== $states || [] !== $numbers)) {
            throw UnusableScore::in(
                'answer',
                'Something was seen, or it was not: give values or another answer, not both.',
            );
        }

        return match (true) {
            ScoreAnswer::CannotBeSeen === $answer => throw UnusableScore::in(
                'answer',
                'What cannot be seen says nothing of the tree.',
            ),
            ScoreAnswer::DoesNotApply === $answer => self::notApplicable($character, $certainty, $look),
            ScoreAnswer::NothingThere === $answer => self::ofStates(
                $character,
                [self::absence($character)],
                $certainty,
                $samples,
                $where,
                $position,
                look: $look,
            ),
            [] !== $numbers => self::ofNumbers($character, $numbers, $certainty, $where, $position, $look),
            [] !== $states => self::ofStates(
                $character,
                $states,
                $certainty,
                $samples,
                $where,
                $position,
                $either,
                $look,
            ),
            default => throw UnusableScore::in(
                'states',
                'Choose at least one state, give a number, or say that it cannot be seen now.',
            ),
        };
    }

    /**
     * @param non-empty-list<string> $states several if the tree shows several; a coarser word stands for the states of
     *                                       its group
     * @param bool                   $either one of them was seen, and the examiner cannot say which
     *
     * @throws UnusableScore if the character takes numbers, no or too many samples are given, a height on the tree is
     *                                   named where it makes no difference, or a coarser word stands among several
     *                                   states
     * @throws UnknownEntry              if the character has no such state
     */
    public static function ofStates(
        Character $character,
        array $states,
        Certainty $certainty,
        int $samples,
        Whereabouts $where,
        ?Position $position = null,
        bool $either = false,
        Look $look = new Look(),
    ): self {
        if ($character->isNumeric()) {
            throw UnusableScore::in('states', \sprintf('"%s" takes numbers, not states.', $character->id));
        }
        $coarse = array_filter($states, static fn (string $id): bool => isset($character->groups[$id]));
        if ([] !== $coarse && !$either && \count($states) > 1) {
            throw UnusableScore::in(
                'states',
                \sprintf('"%s" is a coarser word: give it alone, or say that it was one of these.', reset($coarse)),
            );
        }
        $named = array_values(array_unique(array_merge(...array_map($character->statesOf(...), $states))));
        sort($named);

        return new self(
            $character,
            $named,
            [],
            $certainty,
            self::samples($samples),
            $where,
            self::position($character, $position),
            $look,
            \count($named) > 1 && ($either || [] !== $coarse),
        );
    }

    /**
     * @param non-empty-list<float> $numbers in the character's unit, 0 to 10,000
     *
     * @throws UnusableScore if the character takes states, a number is out of range or a count is not whole
     */
    public static function ofNumbers(
        Character $character,
        array $numbers,
        Certainty $certainty,
        Whereabouts $where,
        ?Position $position = null,
        Look $look = new Look(),
    ): self {
        if (!$character->isNumeric()) {
            throw UnusableScore::in('numbers', \sprintf('"%s" takes states, not numbers.', $character->id));
        }
        foreach ($numbers as $number) {
            if (!is_finite($number) || $number < 0 || $number > self::LARGEST_NUMBER) {
                throw UnusableScore::in(
                    'numbers',
                    \sprintf('"%s" must lie between 0 and 10,000; %s does not.', $character->id, $number),
                );
            }
            if (CharacterKind::Count === $character->kind && floor($number) !== $number) {
                throw UnusableScore::in(
                    'numbers',
                    \sprintf('"%s" is counted: whole numbers only, not %s.', $character->id, $number),
                );
            }
        }
        sort($numbers);

        return new self(
            $character,
            [],
            $numbers,
            $certainty,
            self::samples(\count($numbers)),
            $where,
            self::position($character, $position),
            $look,
        );
    }

    /**
     * The character makes no sense on this tree: it has no needles that could have bands.
     *
     * @throws UnusableScore if the character makes sense on every tree
     */
    public static function notApplicable(Character $character, Certainty $certainty, Look $look = new Look()): self
    {
        return null !== $character->applies
            ? new self($character, [], [], $certainty, 1, Whereabouts::Tree, Position::Middle, $look)
            : throw UnusableScore::in(
                'answer',
                \sprintf(
                    '"%s" makes sense on every tree. Score it, or say that it cannot be seen now.',
                    $character->id,
                ),
            );
    }

    public function isNotApplicable(): bool
    {
        return [] === $this->states && [] === $this->numbers;
    }

    /** Only what was seen for sure, on the tree itself, can carry a decision. */
    public function canDecide(): bool
    {
        return Certainty::Sure === $this->certainty && Whereabouts::Tree === $this->where;
    }

    /** @return list<Reading> none where the character does not apply */
    public function readings(): array
    {
        $values = $this->values();

        return $this->either && [] !== $values
            ? [new Reading($values, $this->position)]
            : array_map(fn (string|float $value): Reading => new Reading([$value], $this->position), $values);
    }

    /** @return list<string>|list<float> */
    public function values(): array
    {
        return $this->character->isNumeric() ? $this->numbers : $this->states;
    }

    /**
     * Whether two scores of one character can both be right: they were seen at different heights of the tree, they
     * share a state, or, for numbers, neither lies more than half as high again as the other.
     */
    public function agreesWith(self $other): bool
    {
        if ($this->position !== $other->position) {
            return true;
        }
        if ($this->isNotApplicable() || $other->isNotApplicable()) {
            return $this->isNotApplicable() && $other->isNotApplicable();
        }
        if ($this->character->isNumeric()) {
            [$lows, $highs] = [$this->numbers, $other->numbers]; // both sorted, rising
            if ($lows[\count($lows) - 1] > $highs[\count($highs) - 1]) {
                [$lows, $highs] = [$highs, $lows];
            }

            return $highs[0] <= self::APART * $lows[\count($lows) - 1];
        }

        return [] !== array_intersect($this->states, $other->states);
    }

    /** @throws UnusableScore if the character knows no such thing */
    private static function absence(Character $character): string
    {
        return $character->absence()->id ??
            throw UnusableScore::in(
                'answer',
                \sprintf('"%s" has no state for "looked, and nothing there".', $character->label),
            );
    }

    private static function position(Character $character, ?Position $position): Position
    {
        return null === $position || Position::Middle === $position || $character->variation->withHeight
            ? $position ?? Position::Middle
            : throw UnusableScore::in(
                'position',
                \sprintf('"%s" is the same all over the tree; no height is asked.', $character->id),
            );
    }

    private static function samples(int $samples): int
    {
        return $samples >= 1 && $samples <= self::MOST_SAMPLES
            ? $samples
            : throw UnusableScore::in(
                'samples',
                \sprintf('Samples must be 1 to %d, not %d.', self::MOST_SAMPLES, $samples),
            );
    }
}
