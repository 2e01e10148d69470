<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

use Hylognosis\Measure\Place;

/** A regional reference: characters, taxa, sources. The hash of its content tells one edition from another. */
final readonly class Flora
{
    /**
     * @param string                    $hash       SHA-256 of its exchange document, 64 hexadecimal digits
     * @param Place                     $reference  the place its windows of the year are given for
     * @param Region                    $region     where it holds
     * @param array<string, Character>  $characters by id
     * @param array<string, Taxon>      $taxa       by id
     * @param array<string, TaxonGroup> $groups     by id
     * @param array<string, Source>     $sources    by id
     * @param string                    $knowledge  hash of what it says, whoever agrees with it
     * @param array<string, string>     $retired    dangerous taxa an earlier edition held and this one does not → why
     * @param array<string, list<SourceReference>> $figureSources by kind of figure ({@see FigureKind}), where its
     *                                         figures were taken from
     */
    public function __construct(
        public string $name,
        public string $title,
        public string $edition,
        public string $hash,
        public Place $reference,
        public Region $region,
        public array $characters,
        public array $taxa,
        public array $groups,
        public array $sources,
        public array $retired = [],
        public string $knowledge = '',
        public array $figureSources = [],
    ) {
    }

    /** @throws UnknownEntry if the flora has no such character */
    public function character(string $id): Character
    {
        return $this->characters[$id] ?? throw UnknownEntry::of('character', $id, array_keys($this->characters));
    }

    /** @throws UnknownEntry if the flora has no such taxon */
    public function taxon(string $id): Taxon
    {
        return $this->taxa[$id] ?? throw UnknownEntry::of('taxon', $id, array_keys($this->taxa));
    }

    /**
     * The same without one taxon and the hybrids it is a parent of: how it would look to somebody who has never heard
     * of it.
     */
    public function without(string $taxon): self
    {
        $taxa = array_filter(
            $this->taxa,
            static fn (Taxon $t): bool => $t->id !== $taxon && !\in_array($taxon, $t->parents, true),
        );
        $groups = array_map(
            static fn (TaxonGroup $g): TaxonGroup => new TaxonGroup(
                $g->id,
                $g->name,
                array_values(array_filter($g->members, static fn (string $id): bool => isset($taxa[$id]))),
            ),
            $this->groups,
        );

        return new self(
            $this->name,
            $this->title,
            $this->edition,
            $this->hash,
            $this->reference,
            $this->region,
            $this->characters,
            $taxa,
            $groups,
            $this->sources,
            $this->retired,
            $this->knowledge,
            $this->figureSources,
        );
    }

    /** @return array<string, Taxon> every taxon that can harm a person, by id */
    public function dangerous(): array
    {
        return array_filter($this->taxa, static fn (Taxon $taxon): bool => $taxon->severity()->isHazard());
    }

    /** Whether the character makes no sense on the taxon: needle bands on a tree that never has needles. */
    public function isInapplicable(Description $description, Character $character): bool
    {
        if (null === $character->applies || $description->describes($character->id)) {
            return false;
        }
        $frequencies = $description->frequencies($character->applies->character);
        if (null === $frequencies) {
            // no lobes to speak of where there is no blade
            return $this->isInapplicable($description, $this->characters[$character->applies->character]);
        }
        foreach ($character->applies->states as $state) {
            if (0.0 < ($frequencies[$state] ?? 0.0)) {
                return false;
            }
        }

        return true;
    }
}
