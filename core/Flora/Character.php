<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

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
    ) {
    }

    public function isNumeric(): bool
    {
        return CharacterKind::Number === $this->kind || CharacterKind::Count === $this->kind;
    }

    /** @throws UnknownEntry if the character has no such state */
    public function state(string $id): State
    {
        return $this->states[$id] ?? throw UnknownEntry::of('state of '.$this->id, $id, array_keys($this->states));
    }
}
