<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

use Hylognosis\Measure\Length;
use Hylognosis\Measure\UnknownUnit;

/** A feature one can score on a tree. */
final readonly class Character
{
    /**
     * @param array<string, State>      $states  by id, in the flora's order; none for numbers and counts
     * @param string                    $unit    of a number (`cm`, `m`, `mm`); empty otherwise
     * @param Applicability|null        $applies set where the character makes sense on some trees only
     * @param array<string, StateGroup> $groups  coarser words for several of its states, by id
     */
    public function __construct(
        public string $id,
        public Organ $organ,
        public CharacterKind $kind,
        public string $label,
        public string $question,
        public string $hint,
        public array $states,
        public string $unit,
        public Sight $sight,
        public Legibility $legibility,
        public Variation $variation = new Variation(),
        public ?Applicability $applies = null,
        public array $groups = [],
    ) {
    }

    public function isNumeric(): bool
    {
        return CharacterKind::Number === $this->kind || CharacterKind::Count === $this->kind;
    }

    /**
     * Whether seeing it otherwise can speak against a kind at all. How large a thing is, where the tree stands, and
     * what varies can rank kinds; none of them excludes or contradicts.
     */
    public function isFirm(): bool
    {
        return !$this->variation->byChance && Organ::Site !== $this->organ && CharacterKind::Number !== $this->kind;
    }

    /** The state that means "looked for, not there"; none where that cannot happen. */
    public function absence(): ?State
    {
        foreach ($this->states as $state) {
            if ($state->absence) {
                return $state;
            }
        }

        return null;
    }

    /**
     * The states an answer stands for: itself, or all of the group it names.
     *
     * @return non-empty-list<string>
     *
     * @throws UnknownEntry if the character has no such state and no such group
     */
    public function statesOf(string $answer): array
    {
        return isset($this->groups[$answer]) ? $this->groups[$answer]->states : [$this->state($answer)->id];
    }

    /**
     * A number given in any unit of length, in the character's own unit.
     *
     * @param string|null $unit `mm`, `cm`, `m`, `in` or `ft`; null: it is in the character's own already
     *
     * @throws UnknownUnit if the unit is unknown, or the character is counted
     */
    public function inOwnUnit(float $number, ?string $unit): float
    {
        if (null === $unit || $unit === $this->unit) {
            return $number;
        }
        if ('' === $this->unit) {
            throw new UnknownUnit(\sprintf('"%s" is counted; it has no unit.', $this->id));
        }

        return round(Length::of($number, $unit)->in($this->unit), 3);
    }

    /** @throws UnknownEntry if the character has no such state */
    public function state(string $id): State
    {
        return $this->states[$id] ??
            throw UnknownEntry::of('state of '.$this->id, $id, [
                ...array_keys($this->states),
                ...array_keys($this->groups),
            ]);
    }
}
