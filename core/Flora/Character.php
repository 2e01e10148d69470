<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

use Hylognosis\Measure\Length;

/** A feature one can score on a tree. */
final readonly class Character
{
    /**
     * @param array<string, State>        $states     by id, in the flora's order; none for numbers and counts
     * @param string                      $unit       of a number (`cm`, `m`, `mm`); empty otherwise
     * @param list<Phenophase>            $phenophases in which it can be seen
     * @param int                         $effort     1 (a glance) to 5 (a climb)
     * @param float                       $misreading how often a careful person misreads it, 0 to 0.3
     * @param array<string, list<string>> $confusions state id → ids of the states it gets taken for
     * @param Applicability|null          $applies    set where the character makes sense on some trees only
     * @param bool                        $ripens     it changes as the part ripens: another value than the wanted one may mean "not yet"
     * @param bool                        $varies     light, a strong shoot, a storm or a planter change it: it hints, but seeing it otherwise neither excludes nor contradicts
     * @param array<string, StateGroup>   $groups     coarser words for several of its states, by id
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
        public array $phenophases,
        public Reach $reach,
        public Instrument $instrument,
        public int $effort,
        public float $misreading,
        public array $confusions,
        public bool $changesWithAge,
        public bool $changesWithPosition,
        public ?Applicability $applies,
        public bool $ripens = false,
        public bool $varies = false,
        public array $groups = [],
    ) {
    }

    public function isNumeric(): bool
    {
        return CharacterKind::Number === $this->kind || CharacterKind::Count === $this->kind;
    }

    /**
     * Whether seeing it otherwise can speak against a kind at all. How large a thing is, where the tree stands, and what varies
     * can rank kinds; none of them excludes or contradicts.
     */
    public function isFirm(): bool
    {
        return !$this->varies && Organ::Site !== $this->organ && CharacterKind::Number !== $this->kind;
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
     * @throws \InvalidArgumentException if the unit is unknown, or the character is counted
     */
    public function inOwnUnit(float $number, ?string $unit): float
    {
        if (null === $unit || $unit === $this->unit) {
            return $number;
        }
        if ('' === $this->unit) {
            throw new \InvalidArgumentException(\sprintf('"%s" is counted; it has no unit.', $this->id));
        }

        return round(Length::of($number, $unit)->in($this->unit), 3);
    }

    /** @throws UnknownEntry if the character has no such state */
    public function state(string $id): State
    {
        return $this->states[$id] ?? throw UnknownEntry::of('state of '.$this->id, $id, [...array_keys($this->states), ...array_keys($this->groups)]);
    }
}
