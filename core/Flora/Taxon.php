<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** A species of the flora, or a group of them. */
final readonly class Taxon
{
    /**
     * @param array<string, StatedNever> $nevers   what it never shows, by id
     * @param list<Hazard>               $hazards
     * @param array<string, Part>        $parts    by id
     * @param list<SourceReference>      $sources  of description and calendar
     * @param array<string, NumberRange> $figures  by kind ({@see FigureKind}), in its unit
     * @param string                     $fruitSet whether it needs a second tree to bear; empty where the flora does
     *                                         not say
     * @param list<NoRecord>             $noRecords of whom it is not known whether it harms him
     * @param list<string>               $parents  of a hybrid, two taxon ids; none otherwise
     */
    public function __construct(
        public string $id,
        public string $name,
        public Names $names,
        public Status $status,
        public string $summary,
        public Calendar $calendar,
        public Description $description,
        public Variants $variants,
        public array $nevers,
        public array $hazards,
        public array $parts,
        public array $sources,
        public array $figures = [],
        public string $fruitSet = '',
        public array $parents = [],
        public array $noRecords = [],
    ) {
    }

    /** @return list<string> all it goes by but the two names shown first */
    public function otherNames(): array
    {
        return [...\array_slice($this->names->common, 1), ...$this->names->synonyms];
    }

    public function isHybrid(): bool
    {
        return [] !== $this->parents;
    }

    public function commonName(): string
    {
        return $this->names->common[0] ?? $this->name;
    }

    /** The worst it can do to a person who takes it for something else, by whatever part. */
    public function severity(): Severity
    {
        $worst = Severity::Harmless;
        foreach ($this->hazards as $hazard) {
            if ($hazard->harmsByMistake()) {
                $worst = Severity::worse($worst, $hazard->severity);
            }
        }

        return $worst;
    }

    /** @return array<string, Severity> the worst it can do to each it can harm in any way; people first */
    public function harms(): array
    {
        $worst = [];
        foreach ($this->hazards as $hazard) {
            if (Severity::Harmless !== $hazard->severity) {
                $worst[$hazard->who] = Severity::worse($worst[$hazard->who] ?? Severity::Harmless, $hazard->severity);
            }
        }
        uksort($worst, static fn (string $a, string $b): int => ('people' === $b) <=> ('people' === $a));

        return $worst;
    }

    /** @return list<string> whom it may harm for all the flora says, though it harms others */
    public function saysNothingOf(): array
    {
        $told = array_map(static fn (Hazard $h): string => $h->who, $this->hazards);
        $unknown = array_merge(...array_map(static fn (NoRecord $n): array => $n->who, $this->noRecords));

        return [] === $this->harms() ? [] : array_values(array_diff(Hazard::VICTIMS, $told, $unknown));
    }

    /**
     * @return array<string, list<StatedNever>> by character; those somebody doubts are left out, for they exclude
     *     nothing
     */
    public function standingNevers(): array
    {
        $standing = [];
        foreach ($this->nevers as $never) {
            if (!$never->isDoubted()) {
                $standing[$never->character][] = $never;
            }
        }

        return $standing;
    }

    /** @throws UnknownEntry if the flora says nothing of such a part */
    public function part(string $id): Part
    {
        return $this->parts[$id] ?? throw UnknownEntry::of('part of '.$this->name, $id, array_keys($this->parts));
    }
}
