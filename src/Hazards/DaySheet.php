<?php

declare(strict_types=1);

namespace App\Hazards;

use App\Account\User;
use App\Hazards\View\DaySheetView;
use App\Hazards\View\DayTreeView;
use App\School\SchoolRepository;
use App\Survey\SurveyLookRepository;
use App\Survey\SurveyRepository;
use App\Trees\HeldKinds;
use App\Trees\Site;
use App\Trees\Specimen;
use App\Trees\SpecimenRepository;
use App\Trees\Stand;
use App\Trees\StandRepository;
use App\Trees\TreeDanger;
use Hylognosis\Care\Allergy;
use Hylognosis\Care\DayCaution;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Survey\SeenMark;

/** The hazards of a place for a group on one day. */
final readonly class DaySheet
{
    public function __construct(
        private SpecimenRepository $specimens,
        private StandRepository $stands,
        private SurveyRepository $surveys,
        private SurveyLookRepository $looks,
        private SchoolRepository $schools,
        private HeldKinds $kinds,
    ) {
    }

    /** @param list<Allergy> $allergies told of by participants, without names */
    public function of(Site $site, \DateTimeImmutable $day, array $allergies, User $reader): DaySheetView
    {
        $all = [
            ...$this->specimens->findBy(['site' => $site, 'gone' => ''], ['tag' => 'ASC']),
            ...$this->stands->there($site),
        ];
        $seen = $this->looks->lastSeen(array_map(static fn (Specimen|Stand $t): string => $t->id, $all));
        $hidden = $this->kinds->hiddenFrom($reader);
        $trees = array_map(
            fn (Specimen|Stand $tree): DayTreeView => $this->tree($tree, $hidden, $seen[$tree->id] ?? [], $allergies),
            $all,
        );
        usort(
            $trees,
            static fn (DayTreeView $a, DayTreeView $b): int => [
                PeopleHazards::place($a->danger),
                $a->label,
            ] <=> [PeopleHazards::place($b->danger), $b->label],
        );

        return new DaySheetView(
            $site->id,
            $site->name,
            CalendarDay::iso($day),
            $site->rules,
            $this->schools->ours()->poisonCentre ?? '',
            DayCaution::inMonth((int) $day->format('n'), $site->latitude < 0),
            $allergies,
            $trees,
            $this->lastWalk($site),
        );
    }

    /**
     * @param array<string, true> $hidden
     * @param list<SeenMark>      $seen
     * @param list<Allergy>       $allergies
     */
    private function tree(Specimen|Stand $tree, array $hidden, array $seen, array $allergies): DayTreeView
    {
        $isTree = $tree instanceof Specimen;
        $kinds = $isTree ? $this->kinds->ofTree($tree, $hidden) : $this->kinds->ofStand($tree);
        $danger = PeopleHazards::danger($kinds, $isTree && !isset($hidden[$tree->id]) ? $tree->doubt : '');
        $hazards = PeopleHazards::of($kinds);
        $marks = array_values(array_filter($seen, static fn (SeenMark $m): bool => $m->wantsArborist()));
        $genera = array_map(static fn (Taxon $t): string => explode('-', $t->id)[0], $kinds);

        return new DayTreeView(
            $tree->id,
            $isTree ? $tree->tag : $tree->label,
            !$isTree,
            $isTree ? $tree->whereabouts : '',
            [] === $kinds ? '' : $this->kinds->nameOf($tree),
            $danger,
            // a stand was never examined: what stands in it besides, nobody knows
            $isTree && TreeDanger::Harmless === $danger && [] === $hazards && [] === $marks,
            $hazards,
            $marks,
            array_values(
                array_filter(
                    $allergies,
                    // what may be any tree may be that one
                    static fn (Allergy $a): bool => [] === $genera || [] !== array_intersect($genera, $a->genera()),
                ),
            ),
        );
    }

    private function lastWalk(Site $site): ?string
    {
        $last = $this->surveys->findOneBy(['site' => $site], ['on' => 'DESC']);

        return null === $last ? null : CalendarDay::iso($last->on);
    }
}
