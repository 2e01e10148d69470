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
    /**
     * @param list<string> $states
     * @param list<float>  $numbers in the character's unit
     * @param int          $samples how many twigs, leaves, fruits were looked at
     */
    private function __construct(
        public Character $character,
        public array $states,
        public array $numbers,
        public Certainty $certainty,
        public int $samples,
        public Whereabouts $where,
        public ?Position $position,
    ) {
    }

    /**
     * @param non-empty-list<string> $states several if the tree shows several
     *
     * @throws \InvalidArgumentException if the character takes numbers, no or too many samples are given, or a height on the
     *                                   tree is named where it makes no difference
     * @throws UnknownEntry              if the character has no such state
     */
    public static function ofStates(Character $character, array $states, Certainty $certainty, int $samples, Whereabouts $where, ?Position $position = null): self
    {
        if ($character->isNumeric()) {
            throw new \InvalidArgumentException(\sprintf('"%s" takes numbers, not states.', $character->id));
        }
        $states = array_values(array_unique(array_map(static fn (string $id): string => $character->state($id)->id, $states)));
        sort($states);

        return new self($character, $states, [], $certainty, self::samples($samples), $where, self::position($character, $position));
    }

    /**
     * @param non-empty-list<float> $numbers in the character's unit, 0 to 10,000
     *
     * @throws \InvalidArgumentException if the character takes states, a number is out of range or a count is not whole
     */
    public static function ofNumbers(Character $character, array $numbers, Certainty $certainty, Whereabouts $where, ?Position $position = null): self
    {
        if (!$character->isNumeric()) {
            throw new \InvalidArgumentException(\sprintf('"%s" takes states, not numbers.', $character->id));
        }
        foreach ($numbers as $number) {
            if (!is_finite($number) || $number < 0 || $number > 10_000) {
                throw new \InvalidArgumentException(\sprintf('"%s" must lie between 0 and 10,000; %s does not.', $character->id, $number));
            }
            if (CharacterKind::Count === $character->kind && floor($number) !== $number) {
                throw new \InvalidArgumentException(\sprintf('"%s" is counted: whole numbers only, not %s.', $character->id, $number));
            }
        }
        sort($numbers);

        return new self($character, [], $numbers, $certainty, self::samples(\count($numbers)), $where, self::position($character, $position));
    }

    /** Only what was seen for sure, on the tree itself, can carry a decision. */
    public function canDecide(): bool
    {
        return Certainty::Sure === $this->certainty && Whereabouts::Tree === $this->where;
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
        if ($this->character->isNumeric()) {
            [$lows, $highs] = [$this->numbers, $other->numbers]; // both sorted, rising
            if ($lows[\count($lows) - 1] > $highs[\count($highs) - 1]) {
                [$lows, $highs] = [$highs, $lows];
            }

            return $highs[0] <= 1.5 * $lows[\count($lows) - 1];
        }

        return [] !== array_intersect($this->states, $other->states);
    }

    private static function position(Character $character, ?Position $position): ?Position
    {
        return null === $position || $character->changesWithPosition ? $position : throw new \InvalidArgumentException(\sprintf('"%s" is the same all over the tree; no height is asked.', $character->id));
    }

    private static function samples(int $samples): int
    {
        return $samples >= 1 && $samples <= 200 ? $samples : throw new \InvalidArgumentException(\sprintf('Samples must be 1 to 200, not %d.', $samples));
    }
}
