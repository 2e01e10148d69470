<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;

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
        $node->onlyKnows(['id', 'name', 'author', 'family', 'synonyms', 'common', 'misleading', 'status', 'summary', 'fruit_set', 'calendar', 'description', 'stages', 'positions', 'hazards', 'figures', 'parts', 'sources']);
        $windows = [];
        foreach ($node->entries('calendar') as $phase => $window) {
            $windows[Node::root($phase, $window->path)->asWord(Phenophase::class)->value] = FloraReader::window($window);
        }
        if ([] === $windows) {
            throw DocumentError::at($node->path.'.calendar', 'must give at least one phenophase.');
        }
        $stages = [];
        foreach ($node->entries('stages') as $stage => $description) {
            $stages[FloraReader::stage($stage, $description->path)->value] = $this->description($description->asEntries());
        }
        $positions = [];
        foreach ($node->entries('positions') as $position => $description) {
            $positions[Node::root($position, $description->path)->asWord(Position::class)->value] = $this->description($description->asEntries(), true);
        }
        $figures = [];
        foreach ($node->entries('figures') as $kind => $range) {
            $figures[Node::root($kind, $range->path)->asWord(FigureKind::class)->value] = FloraReader::range($range);
        }
        $parts = [];
        foreach ($node->entries('parts') as $id => $part) {
            $parts[$id] = $this->part($id, $part);
        }
        $common = $node->texts('common');
        if ([] === $common) {
            throw DocumentError::at($node->path.'.common', 'must give at least one common name.');
        }
        $status = $node->child('status');
        $status->onlyKnows(['origin', 'protected', 'note']);

        return new Taxon(
            $node->text('id'), $node->text('name'), $node->text('author'), $node->text('family'),
            $node->texts('synonyms'), $common,
            new Status($status->text('origin'), $status->flag('protected', false), $status->optionalText('note')),
            $node->text('summary'), new Calendar($windows),
            $this->description($node->entries('description')), $stages,
            array_map($this->hazard(...), $node->children('hazards')), $parts,
            FloraReader::references($node, 'sources', $this->sources), $positions, $figures, [], $node->texts('misleading'), $node->optionalText('fruit_set'),
        );
    }

    /** @param array<string, Node> $entries */
    private function description(array $entries, bool $atAHeight = false): Description
    {
        $frequencies = $ranges = [];
        foreach ($entries as $id => $node) {
            FloraReader::known($this->characters, $id, $node->path, 'character');
            $character = $this->characters[$id];
            if ($atAHeight && !$character->changesWithPosition) {
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
        if ($node->isText()) { // the one state it always shows
            FloraReader::known($character->states, $node->asText(), $node->path, 'state');

            return [$node->asText() => 1.0];
        }
        $shares = [];
        foreach ($node->asEntries() as $state => $word) {
            FloraReader::known($character->states, $state, $word->path, 'state');
            $shares[$state] = $word->asWord(Frequency::class)->share();
        }
        $sum = array_sum($shares);
        if ($sum <= 0.0) {
            throw DocumentError::at($node->path, 'must give at least one state that occurs.');
        }

        return array_map(static fn (float $share): float => $share / $sum, $shares);
    }

    private function hazard(Node $node): Hazard
    {
        $node->onlyKnows(['part', 'who', 'way', 'severity', 'note', 'sources']);
        $who = $node->text('who');
        if (!\in_array($who, ['people', 'cattle', 'horses', 'sheep', 'dogs'], true)) {
            throw DocumentError::at($node->path.'.who', 'must be people, cattle, horses, sheep or dogs.');
        }

        return new Hazard($node->text('part'), $who, $node->text('way'), $node->word('severity', Severity::class), $node->text('note'), FloraReader::references($node, 'sources', $this->sources));
    }

    private function part(string $id, Node $node): Part
    {
        $node->onlyKnows(['label', 'uses', 'harmful', 'window', 'identified', 'ripe', 'harmful_when', 'required', 'look_alikes', 'preparation', 'leave', 'yield', 'effort', 'group', 'freshness_days', 'sources']);
        $harmful = $node->optionalText('harmful');
        $required = array_map($this->required(...), $node->children('required'));
        if ('' === $harmful && [] === $required) {
            throw DocumentError::at($node->path.'.required', 'a part that may be taken needs its required features.');
        }

        return new Part(
            $id, $node->text('label'), $node->texts('uses'), $harmful,
            '' === $harmful ? FloraReader::window($node->child('window')) : null,
            [...$this->conditions($node, 'ripe', true), ...$this->conditions($node, 'harmful_when', false)],
            $required,
            array_map($this->lookAlike(...), $node->children('look_alikes')),
            $node->texts('preparation'), $node->optionalText('leave'), $node->optionalText('group'),
            '' === $harmful ? $node->integer('freshness_days', 1, 400) : 1,
            FloraReader::references($node, 'sources', $this->sources),
            $node->optionalText('yield'), $node->has('effort') ? $node->integer('effort', 1, 5) : null,
            $node->has('identified') ? FloraReader::window($node->child('identified')) : null,
        );
    }

    /** @return list<Condition> */
    private function conditions(Node $node, string $key, bool $wanted): array
    {
        return array_map(static fn (Node $n): Condition => new Condition($n->text('id'), $n->text('question'), $n->optionalText('note'), $wanted), $node->children($key));
    }

    private function lookAlike(Node $node): LookAlike
    {
        $node->onlyKnows(['taxon', 'severity', 'note', 'decisive']);
        $decisive = $node->texts('decisive');
        foreach ($decisive as $character) {
            $this->reliable($character, $node->path.'.decisive');
        }

        return new LookAlike($node->text('taxon'), $node->word('severity', Severity::class), $node->text('note'), $decisive);
    }

    /** A character a decision may rest on. */
    private function reliable(string $id, string $path): Character
    {
        FloraReader::known($this->characters, $id, $path, 'character');

        return $this->characters[$id]->varies
            ? throw DocumentError::at($path, \sprintf('"%s" varies with light, vigour or planting; no decision may rest on it.', $id))
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
            throw DocumentError::at($node->path, $character->isNumeric() ? 'needs a range, and no states.' : 'needs states, and no range.');
        }

        return new RequiredFeature($character->id, $states, $node->has('range') ? FloraReader::range($node->child('range')) : null, $node->integer('samples', 1, 20), $node->texts('beside'));
    }
}
