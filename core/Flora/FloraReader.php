<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\NoSuchDay;
use Hylognosis\Measure\Place;
use Hylognosis\Measure\Window;

/** Reads a flora from its exchange document, whole or not at all. */
final readonly class FloraReader
{
    /** @throws DocumentError naming the first place that cannot be taken, and why */
    public function read(FloraDocument $document): Flora
    {
        $root = Node::root($document->content);
        $root->onlyKnows([
            'format',
            'name',
            'title',
            'edition',
            'reference',
            'region',
            'dangerous',
            'retired',
            'figures',
            'groups',
            'hybrids',
            'characters',
            'sources',
            'taxa',
        ]);
        match ($root->text('format')) {
            FloraDocument::FORMAT => null,
            FloraDocument::FORMAT_BEFORE => throw DocumentError::at(
                'format',
                \sprintf(
                    '"%s" is the format before this one, in which silence could exclude a danger. Migrate the '.
                        'document with: bin/console hylognosis:flora migrate FILE',
                    FloraDocument::FORMAT_BEFORE,
                ),
            ),
            default => throw DocumentError::at('format', \sprintf('must be "%s".', FloraDocument::FORMAT)),
        };
        $sources = self::byId($root->children('sources'), self::source(...));
        $characters = self::byId($root->children('characters'), (new CharacterReader())->read(...));
        foreach ($characters as $character) {
            if (null !== $character->applies) {
                self::known($characters, $character->applies->character, $character->id.'.applies', 'character');
                self::endsSomewhere($characters, $character);
            }
        }
        if ([] === $characters) {
            throw DocumentError::at('characters', 'a flora needs at least one.');
        }
        $taxa = self::byId($root->children('taxa'), (new TaxonReader($characters, $sources))->read(...));
        if (\count($taxa) < 2) {
            throw DocumentError::at('taxa', 'a flora needs at least two.');
        }
        self::checkRoster($root->child('dangerous'), $taxa);
        $figureSources = self::figureSources($root, $sources, $taxa);
        foreach (
            self::byId($root->children('hybrids'), static fn (Node $node): Taxon => Hybrid::read($node, $taxa)) as $id => $hybrid
        ) {
            $taxa[$id] = isset($taxa[$id])
                ? throw DocumentError::at('hybrids', \sprintf('"%s" stands twice.', $id))
                : $hybrid;
        }
        $groups = self::byId($root->children('groups'), self::group(...));
        self::checkReferences($taxa, $groups);

        [$hash, $knowledge] = $document->hashes();

        return new Flora(
            $root->text('name'),
            $root->text('title'),
            $root->text('edition'),
            $hash,
            self::place($root->child('reference')),
            self::region($root->child('region')),
            $characters,
            $taxa,
            $groups,
            $sources,
            array_map(static fn (Node $why): string => $why->asText(), $root->entries('retired')),
            $knowledge,
            $figureSources,
        );
    }

    /** @throws DocumentError */
    private static function group(Node $node): TaxonGroup
    {
        $node->onlyKnows(['id', 'name', 'members']);

        return new TaxonGroup($node->text('id'), $node->text('name'), $node->texts('members'));
    }

    /**
     * @param array<string, Character> $characters
     *
     * @throws DocumentError if a character makes sense only where it makes sense itself
     */
    private static function endsSomewhere(array $characters, Character $character): void
    {
        $seen = [];
        for (
            $at = $character;
            null !== $at && null !== $at->applies;
            $at = $characters[$at->applies->character] ?? null
        ) {
            if (isset($seen[$at->id])) {
                throw DocumentError::at($character->id.'.applies', 'leads round in a circle.');
            }
            $seen[$at->id] = true;
        }
    }

    /** @throws DocumentError if it is no place */
    public static function place(Node $node): Place
    {
        $node->onlyKnows(['latitude', 'longitude', 'altitude_m', 'name']);

        return Place::of(
            $node->number('latitude', -90, 90),
            $node->number('longitude', -180, 180),
            Length::ofMetres($node->number('altitude_m', -500, 9000)),
        );
    }

    private static function region(Node $node): Region
    {
        $node->onlyKnows(['name', 'south', 'north', 'west', 'east', 'altitude_m']);
        $altitude = $node->child('altitude_m')->items();
        if (2 !== \count($altitude)) {
            throw DocumentError::at(
                $node->path.'.altitude_m',
                'must hold two numbers, the lowest and the highest place.',
            );
        }
        try {
            return Region::of(
                $node->text('name'),
                $node->number('south', -90, 90),
                $node->number('north', -90, 90),
                $node->number('west', -180, 180),
                $node->number('east', -180, 180),
                Length::ofMetres($altitude[0]->asNumber(-500, 9000)),
                Length::ofMetres($altitude[1]->asNumber(-500, 9000)),
            );
        } catch (UnusableRegion $e) {
            throw DocumentError::at($node->path, $e->getMessage());
        }
    }

    /**
     * The kinds that can harm people are called by name, with how badly, before they are read: none can be lost with a
     * page of its file, or grow harmless, without somebody striking it from the roster.
     *
     * @param array<string, Taxon> $taxa
     */
    private static function checkRoster(Node $roster, array $taxa): void
    {
        $called = [];
        foreach ($roster->asEntries() as $id => $severity) {
            $called[$id] = $severity->asWord(Severity::class);
            $is = isset($taxa[$id])
                ? $taxa[$id]->severity()->value
                : throw DocumentError::at(
                    $severity->path,
                    'is on the roster of dangerous kinds, and no taxon of this flora.',
                );
            if ($is !== $called[$id]->value) {
                throw DocumentError::at(
                    $severity->path,
                    \sprintf(
                        'stands on the roster of dangerous kinds as %s; by its own hazards it is %s.',
                        $called[$id]->value,
                        $is,
                    ),
                );
            }
        }
        foreach ($taxa as $taxon) {
            if ($taxon->severity()->isHazard() && !isset($called[$taxon->id])) {
                throw DocumentError::at(
                    $roster->path,
                    \sprintf(
                        'does not name %s, which is %s by its own hazards.',
                        $taxon->id,
                        $taxon->severity()->value,
                    ),
                );
            }
        }
    }

    /**
     * Where the figures of each kind come from; told once for the whole flora.
     *
     * @param array<string, Source> $sources
     * @param array<string, Taxon>  $taxa
     *
     * @return array<string, list<SourceReference>>
     *
     * @throws DocumentError if a taxon has a figure of a kind for which none is named
     */
    private static function figureSources(Node $root, array $sources, array $taxa): array
    {
        $told = [];
        foreach ($root->entries('figures') as $kind => $node) {
            $told[Node::root($kind, $node->path)->asWord(FigureKind::class)->value] = self::references(
                $root->child('figures'),
                $kind,
                $sources,
            );
        }
        foreach ($taxa as $taxon) {
            foreach (array_keys($taxon->figures) as $kind) {
                if (!isset($told[$kind])) {
                    throw DocumentError::at(
                        'figures',
                        \sprintf('names no source for %s, of which %s has a figure.', $kind, $taxon->id),
                    );
                }
            }
        }

        return $told;
    }

    /**
     * @template T of object{id: string}
     *
     * @param list<Node>         $nodes
     * @param callable(Node): T $read
     *
     * @return array<string, T>
     *
     * @throws DocumentError if an id stands twice
     */
    public static function byId(array $nodes, callable $read): array
    {
        $items = [];
        foreach ($nodes as $node) {
            $item = $read($node);
            if (isset($items[$item->id])) {
                throw DocumentError::at($node->path.'.id', \sprintf('"%s" stands twice.', $item->id));
            }
            $items[$item->id] = $item;
        }

        return $items;
    }

    /**
     * @param array<string, mixed> $known
     *
     * @throws DocumentError if the id is not among the known ones
     */
    public static function known(array $known, string $id, string $path, string $what): void
    {
        if (!isset($known[$id])) {
            throw DocumentError::at($path, UnknownEntry::of($what, $id, array_keys($known))->getMessage());
        }
    }

    /**
     * @param array<string, Source> $sources
     *
     * @return list<SourceReference>
     *
     * @throws DocumentError if a reference names no known source
     */
    public static function references(Node $node, string $key, array $sources): array
    {
        $references = [];
        foreach ($node->children($key) as $child) {
            $child->onlyKnows(['source', 'place', 'memory']);
            self::known($sources, $child->text('source'), $child->path.'.source', 'source');
            $references[] = SourceReference::of(
                $child->text('source'),
                $child->optionalText('place'),
                $child->flag('memory', false),
            );
        }

        return [] !== $references
            ? $references
            : throw DocumentError::at($node->path.'.'.$key, 'needs at least one source.');
    }

    /** @throws DocumentError if it is no window of the year */
    public static function window(Node $node): Window
    {
        $ends = $node->items();
        if (2 !== \count($ends)) {
            throw DocumentError::at($node->path, 'must hold two days, first and last, like ["06-01", "07-05"].');
        }
        try {
            return Window::of(DayOfYear::parse($ends[0]->asText()), DayOfYear::parse($ends[1]->asText()));
        } catch (NoSuchDay $e) {
            throw DocumentError::at($node->path, $e->getMessage());
        }
    }

    /** @throws DocumentError if it is no range */
    public static function range(Node $node): NumberRange
    {
        try {
            return NumberRange::parse($node->asText());
        } catch (UnusableRange $e) {
            throw DocumentError::at($node->path, $e->getMessage());
        }
    }

    public static function stage(string $stage, string $path): LifeStage
    {
        return Node::root($stage, $path)->asWord(LifeStage::class);
    }

    private static function source(Node $node): Source
    {
        $node->onlyKnows(['id', 'title', 'author', 'year', 'note']);

        return new Source(
            $node->text('id'),
            $node->text('title'),
            $node->optionalText('author'),
            $node->optionalText('year'),
            $node->optionalText('note'),
        );
    }

    /**
     * @param array<string, Taxon>      $taxa
     * @param array<string, TaxonGroup> $groups
     */
    private static function checkReferences(array $taxa, array $groups): void
    {
        foreach ($groups as $group) {
            foreach ($group->members as $member) {
                self::known($taxa, $member, 'groups.'.$group->id, 'taxon');
            }
        }
        foreach ($taxa as $taxon) {
            foreach ($taxon->parts as $part) {
                $path = 'taxa.'.$taxon->id.'.parts.'.$part->id;
                foreach ($part->lookAlikes as $lookAlike) {
                    self::known($taxa, $lookAlike->taxon, $path.'.look_alikes', 'taxon');
                    $own = $taxa[$lookAlike->taxon]->severity();
                    if ($lookAlike->severity->rank() < $own->rank()) {
                        throw DocumentError::at(
                            $path.'.look_alikes',
                            \sprintf(
                                'rates %s as %s; by its own hazards it is %s.',
                                $lookAlike->taxon,
                                $lookAlike->severity->value,
                                $own->value,
                            ),
                        );
                    }
                }
                if ('' !== $part->group) {
                    self::known($groups, $part->group, $path.'.group', 'group');
                    if (!\in_array($taxon->id, $groups[$part->group]->members, true)) {
                        throw DocumentError::at(
                            $path.'.group',
                            \sprintf('"%s" does not hold %s itself.', $part->group, $taxon->id),
                        );
                    }
                }
            }
        }
    }
}
