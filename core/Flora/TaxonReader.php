<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\NoSuchDay;

/** Reads one taxon of a flora document, against the characters and sources read before. */
final readonly class TaxonReader
{
    /**
     * @param array<string, Character> $characters
     * @param array<string, Source>    $sources
     */
    public function __construct(private array $characters, private array $sources)
    {
    }

    /** @throws DocumentError naming the place that cannot be taken, and why */
    public function read(Node $node): Taxon
    {
        $node->onlyKnows([
            'id',
            'name',
            'author',
            'family',
            'synonyms',
            'common',
            'misleading',
            'meaning',
            'status',
            'summary',
            'fruit_set',
            'calendar',
            'description',
            'stages',
            'positions',
            'hazards',
            'no_record',
            'never',
            'figures',
            'parts',
            'sources',
        ]);
        $windows = [];
        foreach ($node->entries('calendar') as $phase => $window) {
            $windows[Node::root($phase, $window->path)->asWord(Phenophase::class)->value] = FloraReader::window(
                $window,
            );
        }
        if ([] === $windows) {
            throw DocumentError::at($node->path.'.calendar', 'must give at least one phenophase.');
        }
        $stages = [];
        foreach ($node->entries('stages') as $stage => $description) {
            $stages[FloraReader::stage($stage, $description->path)->value] = $this->description(
                $description->asEntries(),
            );
        }
        $positions = [];
        foreach ($node->entries('positions') as $position => $description) {
            $positions[Node::root($position, $description->path)->asWord(Position::class)->value] = $this->description(
                $description->asEntries(),
                true,
            );
        }
        $figures = [];
        foreach ($node->entries('figures') as $kind => $range) {
            $figures[Node::root($kind, $range->path)->asWord(FigureKind::class)->value] = FloraReader::range($range);
        }
        $nevers = FloraReader::byId($node->child('never')->items(), $this->never(...));
        $parts = [];
        foreach ($node->child('parts')->asEntries() as $id => $part) {
            $parts[$id] = $this->part($id, $part);
        }
        $hazards = array_map($this->hazard(...), $node->child('hazards')->items());
        $noRecords = array_map($this->noRecord(...), $node->children('no_record'));
        self::refuseBoth($node, $hazards, $noRecords);
        $common = $node->texts('common');
        if ([] === $common) {
            throw DocumentError::at($node->path.'.common', 'must give at least one common name.');
        }
        $status = $node->child('status');
        $status->onlyKnows(['origin', 'protected', 'note']);

        $description = $this->description($node->entries('description'));
        foreach (['description' => $description, ...$stages, ...$positions] as $where => $told) {
            self::checkNevers($node, $nevers, $told, (string) $where);
        }

        return new Taxon(
            id: $node->text('id'),
            name: $node->text('name'),
            names: new Names(
                $node->text('author'),
                $node->text('family'),
                $common,
                $node->texts('synonyms'),
                $node->texts('misleading'),
                $node->optionalText('meaning'),
            ),
            status: new Status(
                $status->text('origin'),
                $status->flag('protected', false),
                $status->optionalText('note'),
            ),
            summary: $node->text('summary'),
            calendar: new Calendar($windows),
            description: $description,
            variants: new Variants($stages, $positions),
            nevers: $nevers,
            hazards: $hazards,
            noRecords: $noRecords,
            parts: $parts,
            sources: FloraReader::references($node, 'sources', $this->sources),
            figures: $figures,
            fruitSet: $node->optionalText('fruit_set'),
        );
    }

    /** @param array<string, Node> $entries */
    private function description(array $entries, bool $atAHeight = false): Description
    {
        $frequencies = $ranges = [];
        foreach ($entries as $id => $node) {
            FloraReader::known($this->characters, $id, $node->path, 'character');
            $character = $this->characters[$id];
            if ($atAHeight && !$character->variation->withHeight) {
                throw DocumentError::at($node->path, 'is the same all over the tree, says characters.yaml.');
            }
            if ($character->isNumeric()) {
                $ranges[$id] = FloraReader::range($node);
            } else {
                $frequencies[$id] = $this->frequencies($character, $node);
            }
        }

        return new Description($frequencies, $ranges);
    }

    /** @return array<string, float> */
    private function frequencies(Character $character, Node $node): array
    {
        if ($node->isText()) {
            // the one state it always shows
            FloraReader::known($character->states, $node->asText(), $node->path, 'state');

            return [$node->asText() => 1.0];
        }
        $shares = [];
        foreach ($node->asEntries() as $state => $word) {
            FloraReader::known($character->states, $state, $word->path, 'state');
            if ($word->isText() && 'never' === $word->asText()) {
                throw DocumentError::at(
                    $word->path,
                    'what never occurs is stated under "never", with its reason and source.',
                );
            }
            $shares[$state] = $word->asWord(Frequency::class)->share();
        }
        $sum = array_sum($shares);
        if ([] === $shares) {
            throw DocumentError::at($node->path, 'must give at least one state that occurs.');
        }

        return array_map(static fn (float $share): float => $share / $sum, $shares);
    }

    private function never(Node $node): StatedNever
    {
        $node->onlyKnows(['id', 'character', 'states', 'outside', 'reason', 'sure', 'sources', 'reviews']);
        FloraReader::known($this->characters, $node->text('character'), $node->path.'.character', 'character');
        $character = $this->characters[$node->text('character')];
        if (!$character->isFirm()) {
            throw DocumentError::at(
                $node->path.'.character',
                \sprintf(
                    '"%s" tells of size, place or what a storm or a planter can change: it can rank, but never '.
                        'be stated never.',
                    $character->id,
                ),
            );
        }
        $states = $node->texts('states');
        foreach ($states as $state) {
            FloraReader::known($character->states, $state, $node->path.'.states', 'state');
        }
        if ($character->isNumeric() !== $node->has('outside') || $character->isNumeric() === ([] !== $states)) {
            throw DocumentError::at(
                $node->path,
                $character->isNumeric()
                    ? 'needs "outside", the range it never leaves, and no states.'
                    : 'needs states, and no range.',
            );
        }
        if (\count($states) === \count($character->states) && [] !== $states) {
            throw DocumentError::at($node->path.'.states', 'leaves no state that could occur.');
        }
        $reviews = array_map(static function (Node $review): Review {
            $review->onlyKnows(['who', 'on', 'verdict', 'note']);

            try {
                $on = CalendarDay::parse($review->text('on'));
            } catch (NoSuchDay $e) {
                throw DocumentError::at($review->child('on')->path, $e->getMessage());
            }

            return new Review(
                $review->text('who'),
                $on,
                $review->word('verdict', ReviewVerdict::class),
                $review->optionalText('note'),
            );
        }, $node->child('reviews')->items());

        return new StatedNever(
            $node->text('id'),
            $character->id,
            $states,
            $node->has('outside') ? FloraReader::range($node->child('outside')) : null,
            $node->text('reason'),
            $node->word('sure', Sureness::class),
            FloraReader::references($node, 'sources', $this->sources),
            $reviews,
        );
    }

    /**
     * What is stated never may nowhere be described.
     *
     * @param array<string, StatedNever> $nevers
     */
    private static function checkNevers(Node $node, array $nevers, Description $told, string $where): void
    {
        foreach ($nevers as $never) {
            $shown = array_keys(
                array_filter(
                    $told->frequencies($never->character) ?? [],
                    static fn (float $share, string $state): bool => $share > 0.0 && $never->forbids($state),
                    \ARRAY_FILTER_USE_BOTH,
                ),
            );
            $range = $told->range($never->character);
            if (
                [] !== $shown
                || (null !== $range && ($never->forbids($range->least) || $never->forbids($range->most)))
            ) {
                throw DocumentError::at(
                    $node->path.'.never.'.$never->id,
                    \sprintf(
                        '%s is stated never, and %s says it occurs.',
                        $never->character.' '.([] === $shown ? (string) $range : implode(', ', $shown)),
                        $where,
                    ),
                );
            }
        }
    }

    private function hazard(Node $node): Hazard
    {
        $node->onlyKnows(['part', 'who', 'way', 'severity', 'note', 'sources']);
        $who = $node->text('who');
        if (!\in_array($who, Hazard::VICTIMS, true)) {
            throw DocumentError::at($node->path.'.who', 'must be '.implode(', ', Hazard::VICTIMS).'.');
        }

        return new Hazard(
            $node->text('part'),
            $who,
            $node->text('way'),
            $node->word('severity', Severity::class),
            $node->text('note'),
            FloraReader::references($node, 'sources', $this->sources),
        );
    }

    private function noRecord(Node $node): NoRecord
    {
        $node->onlyKnows(['who', 'note', 'sources']);
        $who = $node->texts('who');
        if ([] === $who || [] !== array_diff($who, Hazard::VICTIMS)) {
            throw DocumentError::at($node->path.'.who', 'must name one or more of '.implode(', ', Hazard::VICTIMS).'.');
        }

        return new NoRecord(
            $who,
            $node->optionalText('note'),
            FloraReader::references($node, 'sources', $this->sources),
        );
    }

    /**
     * @param list<Hazard>   $hazards
     * @param list<NoRecord> $noRecords
     */
    private static function refuseBoth(Node $node, array $hazards, array $noRecords): void
    {
        $told = array_map(static fn (Hazard $h): string => $h->who, $hazards);
        $unknown = array_merge(...array_map(static fn (NoRecord $n): array => $n->who, $noRecords));
        $both = array_intersect($unknown, $told);
        if ([] !== $both) {
            throw DocumentError::at(
                $node->path.'.no_record',
                \sprintf('names %s, of whom there are records under hazards.', implode(', ', $both)),
            );
        }
    }

    private function part(string $id, Node $node): Part
    {
        $node->onlyKnows([
            'label',
            'uses',
            'harmful',
            'window',
            'identified',
            'ripe',
            'harmful_when',
            'required',
            'look_alikes',
            'preparation',
            'leave',
            'yield',
            'effort',
            'group',
            'freshness_days',
            'follows',
            'sources',
        ]);
        $harmful = $node->optionalText('harmful');
        $required = array_map($this->required(...), $node->children('required'));
        if ('' === $harmful && [] === $required) {
            throw DocumentError::at($node->path.'.required', 'a part that may be taken needs its required features.');
        }

        $ripe = $this->conditions($node, 'ripe', true);
        if ('' === $harmful && [] === $ripe) {
            throw DocumentError::at(
                $node->path.'.ripe',
                'a part that may be taken needs a question about the part itself: ripe, fresh, sound?',
            );
        }
        if ('' === $harmful) {
            $this->checkList($required, $node->path.'.required');
        }
        $window = '' === $harmful ? FloraReader::window($node->child('window')) : null;

        return new Part(
            id: $id,
            label: $node->text('label'),
            uses: $node->texts('uses'),
            harmful: $harmful,
            timing: null === $window
                ? null
                : new Timing(
                    $window,
                    $node->has('identified') ? FloraReader::window($node->child('identified')) : null,
                    365 === $window->days() ? null : $node->word('follows', Phenophase::class),
                    $node->integer('freshness_days', 1, 400),
                ),
            conditions: [...$ripe, ...$this->conditions($node, 'harmful_when', false)],
            required: $required,
            lookAlikes: array_map($this->lookAlike(...), $node->children('look_alikes')),
            handling: new Handling(
                $node->texts('preparation'),
                $node->optionalText('leave'),
                $node->optionalText('yield'),
                $node->has('effort') ? $node->integer('effort', 1, 5) : null,
            ),
            sources: FloraReader::references($node, 'sources', $this->sources),
            group: $node->optionalText('group'),
        );
    }

    /**
     * Bark, outline and site mislead: a list of them alone proves nothing, whatever it says.
     *
     * @param list<RequiredFeature> $required
     */
    private function checkList(array $required, string $path): void
    {
        $organs = [];
        foreach ($required as $feature) {
            $organs[$this->characters[$feature->character]->organ->value] =
                $this->characters[$feature->character]->organ;
        }
        if (
            \count($organs) < 2
            || [] === array_filter($organs, static fn (Organ $organ): bool => $organ->decidesAlone())
        ) {
            throw DocumentError::at(
                $path,
                'must lie in two organs at least, one of them more telling than bark, outline and site.',
            );
        }
    }

    /** @return list<Condition> */
    private function conditions(Node $node, string $key, bool $wanted): array
    {
        return array_map(static function (Node $n) use ($wanted): Condition {
            $n->onlyKnows(['id', 'question', 'note']);

            return new Condition($n->text('id'), $n->text('question'), $n->optionalText('note'), $wanted);
        }, $node->children($key));
    }

    private function lookAlike(Node $node): LookAlike
    {
        $node->onlyKnows(['taxon', 'severity', 'note', 'decisive']);
        $decisive = $node->texts('decisive');
        foreach ($decisive as $character) {
            $organ = $this->reliable($character, $node->path.'.decisive')->organ;
            if (!$organ->decidesAlone()) {
                throw DocumentError::at(
                    $node->path.'.decisive',
                    \sprintf(
                        '"%s" is read from the %s, which misleads; it cannot decide alone.',
                        $character,
                        $organ->label(),
                    ),
                );
            }
        }

        return new LookAlike(
            $node->text('taxon'),
            $node->word('severity', Severity::class),
            $node->text('note'),
            $decisive,
        );
    }

    /** A character a decision may rest on. */
    private function reliable(string $id, string $path): Character
    {
        FloraReader::known($this->characters, $id, $path, 'character');

        return $this->characters[$id]->variation->byChance
            ? throw DocumentError::at(
                $path,
                \sprintf('"%s" varies with light, vigour or planting; no decision may rest on it.', $id),
            )
            : $this->characters[$id];
    }

    private function required(Node $node): RequiredFeature
    {
        $node->onlyKnows(['character', 'states', 'beside', 'range', 'samples']);
        $character = $this->reliable($node->text('character'), $node->path.'.character');
        $states = $node->texts('states');
        foreach ([...$states, ...$node->texts('beside')] as $state) {
            FloraReader::known($character->states, $state, $node->path.'.states', 'state');
        }
        if ([] !== array_intersect($states, $node->texts('beside'))) {
            throw DocumentError::at($node->path.'.beside', 'names a state that is accepted by itself.');
        }
        if ($character->isNumeric() !== $node->has('range') || $character->isNumeric() === ([] !== $states)) {
            throw DocumentError::at(
                $node->path,
                $character->isNumeric() ? 'needs a range, and no states.' : 'needs states, and no range.',
            );
        }

        return new RequiredFeature(
            $character->id,
            $states,
            $node->has('range') ? FloraReader::range($node->child('range')) : null,
            $node->integer('samples', 1, 20),
            $node->texts('beside'),
        );
    }
}
