<?php

declare(strict_types=1);

namespace App\Survey;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Library\FloraLibrary;
use App\Survey\View\GroupView;
use App\Survey\View\SheetReasonView;
use App\Survey\View\SurveyRowView;
use App\Survey\View\SurveyView;
use App\Survey\View\WalkedTreeView;
use App\Trees\HeldKinds;
use App\Trees\Specimen;
use App\Trees\SpecimenRepository;
use App\Trees\Stand;
use App\Trees\StandRepository;
use Hylognosis\Flora\Taxon;
use Hylognosis\Flora\TaxonGroup;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Survey\CountClass;
use Hylognosis\Survey\Gap;
use Hylognosis\Survey\Settled;
use Hylognosis\Survey\Sheet;
use Hylognosis\Survey\WalkedTree;

/** Walks and their sheets, as a reader sees them. */
final readonly class SurveyBook
{
    public function __construct(
        private SurveyRepository $surveys,
        private SurveyLookRepository $looks,
        private SpecimenRepository $specimens,
        private StandRepository $stands,
        private HeldKinds $kinds,
        private SheetFacts $facts,
        private FloraLibrary $library,
        private SchoolClock $clock,
    ) {
    }

    /** @return list<SurveyRowView> the last first */
    public function rows(): array
    {
        $rows = $later = [];
        foreach ($this->surveys->all() as $survey) {
            $rows[] = new SurveyRowView(
                $survey->id,
                $survey->site->id,
                $survey->site->name,
                CalendarDay::iso($survey->on),
                CalendarDay::iso($survey->dueOn),
                $survey->dueOn <= $this->clock->today() && !isset($later[$survey->site->id]),
                null !== $survey->closedAt,
                $survey->by->name,
                $this->looks->count(['survey' => $survey]),
            );
            $later[$survey->site->id] = true;
        }

        return $rows;
    }

    public function view(Survey $survey, User $reader): SurveyView
    {
        $looks = [];
        foreach ($this->looks->ofSurvey($survey) as $look) {
            $looks[$look->specimen->id ?? $look->stand->id ?? ''] = $look;
        }
        $hidden = $this->kinds->hiddenFrom($reader);
        $trees = [
            ...$this->specimens->findBy(['site' => $survey->site, 'gone' => ''], ['tag' => 'ASC']),
            ...$this->stands->there($survey->site),
        ];
        $views = array_map(
            fn (Specimen|Stand $tree): WalkedTreeView => $this->walked(
                $survey,
                $tree,
                $looks[$tree->id] ?? null,
                $hidden,
            ),
            $trees,
        );

        return new SurveyView(
            $survey->id,
            $survey->site->id,
            $survey->site->name,
            CalendarDay::iso($survey->on),
            CalendarDay::iso($survey->dueOn),
            $survey->by->name,
            null !== $survey->closedAt,
            $views,
            \count(array_filter($views, static fn (WalkedTreeView $v): bool => null === $v->look)),
            \count(
                array_filter(
                    $views,
                    static fn (WalkedTreeView $v): bool => null !== $v->look && Settled::Open === $v->settled,
                ),
            ),
            array_values(
                array_map(
                    static fn (TaxonGroup $g): GroupView => new GroupView($g->id, $g->name),
                    $this->library->flora($reader->flora)->groups,
                ),
            ),
        );
    }

    /** @param array<string, true> $hidden */
    private function walked(Survey $survey, Specimen|Stand $tree, ?SurveyLook $look, array $hidden): WalkedTreeView
    {
        $isTree = $tree instanceof Specimen;
        $flora = $isTree ? $tree->kindFlora : $tree->flora;
        $kinds = $isTree ? $this->kinds->ofTree($tree, $hidden) : $this->kinds->ofStand($tree);
        $name = [] === $kinds ? '' : $this->kinds->nameOf($tree);
        $settled = match (true) {
            [] === $kinds => Settled::Open,
            $isTree => Settled::Examined,
            default => self::byLook($kinds),
        };
        // a short look fills in what no examination has settled, and takes nothing back
        if ([] === $kinds && null !== $look && '' !== $look->of && !($isTree && isset($hidden[$tree->id]))) {
            $flora = $look->flora;
            $kinds = $this->kinds->of($look->of, $flora);
            $name = $this->kinds->name($look->of, $flora);
            $settled = [] === $kinds ? Settled::Open : self::byLook($kinds);
        }
        $walked = new WalkedTree(
            $tree->id,
            $kinds,
            $settled,
            $look?->gap,
            $isTree ? CountClass::One : $tree->count,
            $look?->seen() ?? [],
            [] !== array_intersect(array_column($kinds, 'id'), $survey->site->protectedTaxa),
            $this->facts->of($kinds, $flora),
        );
        $reasons = [];
        foreach (Sheet::cases() as $sheet) {
            foreach ($walked->on($sheet) as $reason) {
                $reasons[] = SheetReasonView::of($sheet, $reason);
            }
        }
        $point = $isTree ? [$tree->longitude, $tree->latitude] : $tree->line[0] ?? [null, null];

        return new WalkedTreeView(
            $tree->id,
            !$isTree,
            $isTree ? $tree->tag : $tree->label,
            $isTree ? $tree->whereabouts : '',
            $point[1],
            $point[0],
            $look?->id,
            $name,
            $look->of ?? '',
            $settled,
            Settled::Open === $settled && null !== $look ? $look->gap ?? Gap::NotKnown : null,
            $walked->count,
            $walked->marks,
            $look->note ?? '',
            $reasons,
        );
    }

    /** @param non-empty-list<Taxon> $kinds */
    private static function byLook(array $kinds): Settled
    {
        return \count($kinds) > 1 ? Settled::Group : Settled::Looked;
    }
}
