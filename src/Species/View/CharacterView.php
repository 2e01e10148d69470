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
     * @param string               $id                  its id
     * @param string               $label               name people read
     * @param string               $question            as it is asked of the examiner
     * @param string               $hint                how to look; may be empty
     * @param list<StateView>      $states              what can be seen; none where it is measured or counted
     * @param string               $unit                mm, cm or m; empty where it is not measured
     * @param list<string>         $phenophases         in which it can be seen
     * @param Reach                $reach               how far one gets: ground, hand, binoculars, cut
     * @param int                  $effort              1, a glance, to 5, a climb
     * @param string|null          $appliesTo           id of the character it hangs on; null where it makes sense on
     *                                         every tree
     * @param list<string>         $appliesStates       states of that one with which it makes sense
     * @param bool                 $changesWithAge      described for each age of the tree
     * @param bool                 $changesWithPosition described for each height of the tree
     * @param bool                 $varies              light, vigour or planting change it: a hint that excludes
     *                                         nothing
     * @param list<StateGroupView> $groups              coarser words
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
        public ?string $appliesTo,
        public array $appliesStates,
        public bool $changesWithAge,
        public bool $changesWithPosition,
        public bool $varies,
        public array $groups,
    ) {
    }

    public static function of(Character $c): self
    {
        return new self(
            $c->id,
            $c->organ,
            $c->kind,
            $c->label,
            $c->question,
            $c->hint,
            array_values(
                array_map(
                    static fn (State $s): StateView => new StateView(
                        $s->id,
                        $s->label,
                        $s->definition,
                        $s->drawing,
                        $s->absence,
                    ),
                    $c->states,
                ),
            ),
            $c->unit,
            array_map(static fn (Phenophase $p): string => $p->value, $c->sight->phenophases),
            $c->sight->reach,
            $c->sight->instrument,
            $c->sight->effort,
            $c->applies?->character,
            $c->applies->states ?? [],
            $c->variation->withAge,
            $c->variation->withHeight,
            $c->variation->byChance,
            array_values(
                array_map(
                    static fn (StateGroup $g): StateGroupView => new StateGroupView(
                        $g->id,
                        $g->label,
                        $g->definition,
                        $g->states,
                    ),
                    $c->groups,
                ),
            ),
        );
    }
}
