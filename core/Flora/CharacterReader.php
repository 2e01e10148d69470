<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;

/** Reads one character of a flora document. */
final readonly class CharacterReader
{
    /** @throws DocumentError naming the place that cannot be taken, and why */
    public function read(Node $node): Character
    {
        $node->onlyKnows([
            'id',
            'organ',
            'kind',
            'label',
            'question',
            'hint',
            'unit',
            'states',
            'phenophases',
            'reach',
            'instrument',
            'effort',
            'misreading',
            'confusions',
            'age',
            'position',
            'ripens',
            'varies',
            'applies',
            'groups',
        ]);
        $kind = $node->word('kind', CharacterKind::class);
        $states = FloraReader::byId($node->children('states'), $this->state(...));
        $numeric = CharacterKind::Number === $kind || CharacterKind::Count === $kind;
        if ($numeric !== ([] === $states) || 1 === \count($states)) {
            throw DocumentError::at(
                $node->path.'.states',
                $numeric ? 'a number or a count has no states.' : 'must hold at least two states.',
            );
        }
        $phenophases = array_map(
            static fn (Node $item): Phenophase => $item->asWord(Phenophase::class),
            $node->child('phenophases')->items(),
        );
        if ([] === $phenophases) {
            throw DocumentError::at($node->path.'.phenophases', 'must name at least one phenophase.');
        }

        return new Character(
            id: $node->text('id'),
            organ: $node->word('organ', Organ::class),
            kind: $kind,
            label: $node->text('label'),
            question: $node->text('question'),
            hint: $node->optionalText('hint'),
            states: $states,
            unit: CharacterKind::Number === $kind ? $node->text('unit') : '',
            sight: new Sight(
                $phenophases,
                $node->word('reach', Reach::class),
                $node->has('instrument') ? $node->word('instrument', Instrument::class) : Instrument::None,
                $node->integer('effort', 1, 5),
            ),
            legibility: new Legibility($node->number('misreading', 0, 0.3), $this->confusions($node, $states)),
            variation: new Variation(
                $node->flag('age', false),
                $node->flag('position', false),
                $node->flag('ripens', false),
                $node->flag('varies', false),
            ),
            applies: $this->applies($node),
            groups: $this->groups($node, $states),
        );
    }

    private function state(Node $node): State
    {
        $node->onlyKnows(['id', 'label', 'definition', 'drawing', 'absence']);

        return new State(
            $node->text('id'),
            $node->text('label'),
            $node->text('definition'),
            $node->text('drawing'),
            $node->flag('absence', false),
        );
    }

    /**
     * @param array<string, State> $states
     *
     * @return array<string, list<string>>
     */
    private function confusions(Node $node, array $states): array
    {
        $confusions = [];
        foreach ($node->children('confusions') as $pair) {
            $ids = array_map(static fn (Node $id): string => $id->asText(), $pair->items());
            if (2 !== \count($ids) || $ids[0] === $ids[1]) {
                throw DocumentError::at($pair->path, 'must be a pair of two states.');
            }
            foreach ([[$ids[0], $ids[1]], [$ids[1], $ids[0]]] as [$one, $other]) {
                FloraReader::known($states, $one, $pair->path, 'state');
                $confusions[$one][] = $other;
            }
        }

        return $confusions;
    }

    /**
     * @param array<string, State> $states
     *
     * @return array<string, StateGroup>
     */
    private function groups(Node $node, array $states): array
    {
        return FloraReader::byId($node->children('groups'), static function (Node $group) use ($states): StateGroup {
            $group->onlyKnows(['id', 'label', 'definition', 'states']);
            $members = array_values(array_unique($group->texts('states')));
            foreach ($members as $member) {
                FloraReader::known($states, $member, $group->path.'.states', 'state');
            }
            if (\count($members) < 2) {
                throw DocumentError::at($group->path.'.states', 'a coarser word stands for at least two states.');
            }
            if (isset($states[$group->text('id')])) {
                throw DocumentError::at($group->path.'.id', 'is the name of a state already.');
            }

            return new StateGroup($group->text('id'), $group->text('label'), $group->text('definition'), $members);
        });
    }

    private function applies(Node $node): ?Applicability
    {
        if (!$node->has('applies')) {
            return null;
        }
        $applies = $node->child('applies');
        $applies->onlyKnows(['character', 'states']);

        return new Applicability($applies->text('character'), $applies->texts('states'));
    }
}
