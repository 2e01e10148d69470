<?php

declare(strict_types=1);

namespace App\Species\View;

use Hylognosis\Flora\Character;
use Hylognosis\Flora\CharacterKind;
use Hylognosis\Flora\Instrument;
use Hylognosis\Flora\Organ;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Flora\Reach;
use Hylognosis\Flora\State;
use Hylognosis\Flora\StateGroup;

/** A feature one can score. */
final readonly class CharacterView
{
    /**
     * @param list<StateView> $states
     * @param list<string>    $phenophases
     * @param list<string>    $appliesStates
     * @param list<StateGroupView> $groups coarser words
     */
    public function __construct(
        public string $id, public Organ $organ, public CharacterKind $kind, public string $label, public string $question, public string $hint,
        public array $states, public string $unit, public array $phenophases, public Reach $reach, public Instrument $instrument, public int $effort,
        public ?string $appliesTo, public array $appliesStates, public bool $changesWithAge, public bool $changesWithPosition, public bool $varies, public array $groups,
    ) {
    }

    public static function of(Character $c): self
    {
        return new self(
            $c->id, $c->organ, $c->kind, $c->label, $c->question, $c->hint,
            array_values(array_map(static fn (State $s): StateView => new StateView($s->id, $s->label, $s->definition, $s->drawing, $s->absence), $c->states)),
            $c->unit, array_map(static fn (Phenophase $p): string => $p->value, $c->sight->phenophases), $c->sight->reach, $c->sight->instrument, $c->sight->effort,
            $c->applies?->character, $c->applies->states ?? [], $c->variation->withAge, $c->variation->withHeight, $c->variation->byChance,
            array_values(array_map(static fn (StateGroup $g): StateGroupView => new StateGroupView($g->id, $g->label, $g->definition, $g->states), $c->groups)),
        );
    }
}
