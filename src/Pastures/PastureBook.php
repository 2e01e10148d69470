<?php

declare(strict_types=1);

namespace App\Pastures;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Library\FloraLibrary;
use App\Library\StockTable;
use App\Pastures\View\ChoiceView;
use App\Pastures\View\PasturesView;
use App\Pastures\View\PastureTreeView;
use App\Pastures\View\PastureView;
use App\Survey\SurveyLookRepository;
use App\Trees\HeldKinds;
use App\Trees\Specimen;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Length;
use Hylognosis\Processing\StandingStem;
use Hylognosis\Season\Phenology;
use Hylognosis\Stock\HeightFrom;
use Hylognosis\Survey\CountClass;
use Hylognosis\Survey\SeenMark;

/** The pastures as a reader sees them on a day. */
final readonly class PastureBook
{
    public function __construct(
        private PastureRepository $pastures,
        private PastureTrees $trees,
        private PastureChoiceRepository $choices,
        private SurveyLookRepository $looks,
        private HeldKinds $kinds,
        private StockTable $table,
        private FloraLibrary $library,
        private SchoolClock $clock,
    ) {
    }

    public function all(User $reader, \DateTimeImmutable $day): PasturesView
    {
        return new PasturesView(
            CalendarDay::iso($day),
            array_map(fn (Pasture $p): PastureView => $this->view($p, $reader, $day), $this->pastures->there()),
            $reader->role->mayDecide(),
        );
    }

    private function view(Pasture $pasture, User $reader, \DateTimeImmutable $day): PastureView
    {
        $reaching = $this->trees->of($pasture, $reader);
        $seen = $this->looks->lastSeen(array_map(static fn (ReachingTree $r): string => $r->tree->id, $reaching));
        $choices = $this->choices->holding($pasture);

        return new PastureView(
            $pasture->id,
            $pasture->name,
            $pasture->site->id,
            $pasture->site->name,
            $pasture->corners,
            $pasture->gate,
            $pasture->animal,
            $pasture->number,
            $pasture->grams,
            $pasture->grazed,
            $pasture->isGrazed(DayOfYear::on($this->clock->today())),
            array_map(
                fn (ReachingTree $r): PastureTreeView => $this->tree(
                    $r,
                    $day,
                    $seen[$r->tree->id] ?? [],
                    $choices[$r->tree->id] ?? null,
                ),
                $reaching,
            ),
            $this->trees->unplaced($pasture),
        );
    }

    /** @param list<SeenMark> $marks */
    private function tree(
        ReachingTree $r,
        \DateTimeImmutable $day,
        array $marks,
        ?PastureChoice $choice,
    ): PastureTreeView {
        $tree = $r->tree;
        $isTree = $tree instanceof Specimen;
        [$now, $any] = $this->now($r, $day);

        return new PastureTreeView(
            $tree->id,
            !$isTree,
            $isTree ? $tree->tag : $tree->label,
            $isTree ? CountClass::One : $tree->count,
            [] === $r->kinds ? '' : $this->kinds->nameOf($tree),
            1 === \count($r->kinds) ? $r->kinds[0]->id : '',
            $r->zone,
            round($r->toEdge->metres(), 1),
            round($r->reach->reach->metres(), 1),
            round($r->reach->height->metres(), 1),
            $r->reach->from,
            $r->peril,
            $r->leaf?->fresh->grams,
            $marks,
            $isTree ? $tree->health : '',
            $now,
            $any,
            self::stem($r)?->likely->cubicMetres,
            null === $choice ? null : ChoiceView::of($choice),
            $r->latitude,
            $r->longitude,
        );
    }

    /** Wood in the stem; only where girth and height were measured of that very tree. */
    private static function stem(ReachingTree $r): ?StandingStem
    {
        if (null === $r->girth || HeightFrom::Measured !== $r->reach->from) {
            return null;
        }
        try {
            return StandingStem::of(Length::ofMetres($r->girth->metres() / \M_PI), $r->reach->height);
        } catch (\InvalidArgumentException) {
            return null;
        }
    }

    /** @return array{list<string>, bool} what matters that day; whether anything of it does, for nobody has said */
    private function now(ReachingTree $r, \DateTimeImmutable $day): array
    {
        if (!$r->peril->calls()) {
            return [[], false];
        }
        $phenology = null;
        $now = [];
        $silent = [] === $r->kinds;
        foreach ($r->kinds as $taxon) {
            $phenology ??= Phenology::at(
                $this->library->flora($r->tree instanceof Specimen ? $r->tree->kindFlora : $r->tree->flora),
                $r->pasture->site->place(),
            );
            $matters = $this->table->matters($taxon->id, $r->pasture->animal);
            $silent = $silent || [] === $matters;
            foreach ($matters as $matter) {
                if ($matter->isNow($taxon, $phenology, DayOfYear::on($day))) {
                    $now[$matter->what] = true;
                }
            }
        }

        return [array_keys($now), $silent];
    }
}
