<?php

declare(strict_types=1);

namespace App\Season;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Harvest\HarvestRepository;
use App\Library\CropTable;
use App\Season\View\CropPointView;
use App\Season\View\CropView;
use App\Season\View\PartnersView;
use App\Season\View\WindowView;
use App\Trees\Sex;
use App\Trees\Specimen;
use App\Trees\TreeMeasureRepository;
use App\Weather\Stations;
use Hylognosis\Crop\CropGrade;
use Hylognosis\Crop\CropOutlook;
use Hylognosis\Crop\CropSigns;
use Hylognosis\Crop\LateFrost;
use Hylognosis\Crop\Take;
use Hylognosis\Crop\TreeAge;
use Hylognosis\Crop\TypicalCrop;
use Hylognosis\Flora\FigureKind;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Proportion;
use Hylognosis\Season\ExpectedWindow;
use Hylognosis\Season\Partner;
use Hylognosis\Season\PartYear;
use Hylognosis\Season\SeasonalEvent;

/**
 * What may be expected of the crops of trees that are held to be a kind nobody doubts.
 *
 * @phpstan-import-type Note from CropNoteRepository
 * @phpstan-import-type TakenRow from HarvestRepository
 */
final readonly class CropOutlooks
{
    public function __construct(
        private CropTable $table,
        private CropNoteRepository $notes,
        private HarvestRepository $harvests,
        private TreeMeasureRepository $measures,
        private TreeEventRepository $events,
        private PartnerTrees $partners,
        private LearnedSeasons $seasons,
        private Stations $stations,
        private SchoolClock $clock,
    ) {
    }

    /**
     * @param list<Specimen> $trees held to be kinds of the flora
     *
     * @return array<string, array<string, CropView>> by id of the tree and part
     */
    public function of(Flora $flora, array $trees, User $reader): array
    {
        $bearing = array_values(
            array_filter($trees, fn (Specimen $tree): bool => [] !== $this->crops($flora->taxa[$tree->kind] ?? null)),
        );
        if ([] === $bearing) {
            return [];
        }
        $kinds = array_values(array_unique(array_map(static fn (Specimen $t): string => $t->kind, $bearing)));
        $notes = [];
        foreach ($this->notes->ofKinds($flora->name, $kinds) as $note) {
            $notes[$note['kind'].'/'.$note['part']][] = $note;
        }
        $girths = $this->measures->girths(array_map(static fn (Specimen $t): string => $t->id, $bearing));
        $takes = $this->harvests->amounts($kinds);
        $dated = $this->dated($bearing);
        $views = [];
        foreach ($bearing as $tree) {
            $taxon = $flora->taxa[$tree->kind];
            $partners = $this->partners->of($tree);
            $age = isset($girths[$tree->id], $taxon->figures[FigureKind::GrowthFactor->value])
                ? TreeAge::of(
                    Length::ofMetres($girths[$tree->id] / 100),
                    $taxon->figures[FigureKind::GrowthFactor->value],
                )
                : null;
            foreach ($this->crops($taxon) as $part => $typical) {
                $of = $notes[$taxon->id.'/'.$part] ?? [];
                $view = $this->outlook(
                    $flora,
                    $tree,
                    $taxon,
                    $taxon->parts[$part],
                    $typical,
                    $of,
                    $age,
                    $partners,
                    self::takes($takes, $taxon->id, $part, $typical, $of),
                    $dated[$tree->id] ?? [],
                    $reader,
                );
                if (null !== $view) {
                    $views[$tree->id][$part] = $view;
                }
            }
        }

        return $views;
    }

    /** @return array<string, TypicalCrop> by id of the part */
    private function crops(?Taxon $taxon): array
    {
        $crops = [];
        if (null === $taxon) {
            return [];
        }
        foreach ($taxon->parts as $part) {
            $typical = null === $part->timing ? null : $this->table->of($taxon->id, $part->id);
            if (null !== $typical) {
                $crops[$part->id] = $typical;
            }
        }

        return $crops;
    }

    /**
     * @param list<Note>               $notes of the kind and part, the last recorded first
     * @param array{float, float}|null $age
     * @param list<Take>               $takes
     * @param array<string, true>      $dated events of the tree, as "2027 first-flower"
     */
    private function outlook(
        Flora $flora,
        Specimen $tree,
        Taxon $taxon,
        Part $part,
        TypicalCrop $typical,
        array $notes,
        ?array $age,
        ?PartnersView $partners,
        array $takes,
        array $dated,
        User $reader,
    ): ?CropView {
        $years = $this->seasons->at($flora, $tree->site);
        $next = PartYear::upcoming($years, $taxon, $part, $tree->site->id, $tree->id, $this->clock->today());
        if (null === $next) {
            return null;
        }
        $year = (int) $next->from->likely->format('Y');
        $fruits = Phenophase::Fruiting === $part->timing?->follows;
        $flowering = $fruits
            ? self::before(
                $next,
                static fn (int $of): ?ExpectedWindow => $years->stretch(
                    $taxon,
                    Phenophase::Flowering,
                    $tree->site->id,
                    $tree->id,
                    $of,
                ),
            )
            : null;
        $begun = null !== $flowering && $flowering->from->likely <= $this->clock->today();
        $wants = $fruits ? $partners?->partner : null;
        [$grades, $hungBefore, $others] = self::grades($notes, $tree, $year);
        $outlook = CropOutlook::of(
            new CropSigns(
                $tree->id,
                $year,
                $typical,
                $taxon->figures,
                $age,
                $tree->stage,
                Partner::OtherSex === $wants ? self::isMale($tree->sex) : false,
                $wants,
                null === $tree->latitude ? null : $partners?->enough,
                $grades,
                $hungBefore,
                $others,
                null !== $flowering && self::hasFlowered($dated, $flowering),
                $typical->tender && $begun,
                $typical->tender && $begun ? $this->frost($tree, $flowering) : null,
                $takes,
            ),
        );
        [$soundYear, $sound] = self::sound($notes, $tree);
        $unit = $typical->least->unit->counterpart('imperial' === $reader->units);
        $in = static fn (float $amount): float => round($amount / $unit->inBase(), 3);
        [$soundLeast, $soundMost] = $sound?->clopperPearson() ?? [0.0, 0.0];

        return new CropView(
            $part->id,
            $part->label,
            $year,
            WindowView::of($next),
            array_map(static fn (float $chance): int => (int) round(100 * $chance), $outlook->chances),
            $unit->value,
            $in($outlook->amounts[0]),
            $in($outlook->amounts[1]),
            $in($outlook->amounts[2]),
            $grades[$year] ?? null,
            array_map(CropPointView::of(...), $outlook->points),
            $typical->rivals,
            $typical->lasts[0] ?? null,
            $typical->lasts[1] ?? null,
            $soundYear,
            $sound->trials ?? 0,
            $sound->events ?? 0,
            (int) round(100 * $soundLeast),
            (int) round(100 * $soundMost),
        );
    }

    /**
     * The flowering a crop comes of: some ripen in the year after.
     *
     * @param \Closure(int): (ExpectedWindow|null) $flowering of a year
     */
    private static function before(ExpectedWindow $ripe, \Closure $flowering): ?ExpectedWindow
    {
        $year = (int) $ripe->from->likely->format('Y');
        foreach ([$year, $year - 1] as $of) {
            $window = $flowering($of);
            if (null !== $window && $window->from->likely < $ripe->from->likely) {
                return $window;
            }
        }

        return null;
    }

    private static function isMale(Sex $sex): ?bool
    {
        return Sex::Unknown === $sex ? null : Sex::Male === $sex;
    }

    /**
     * @param list<Specimen> $trees
     *
     * @return array<string, array<string, true>> tree → events of this year and the last, as "2027 first-flower"
     */
    private function dated(array $trees): array
    {
        $sites = array_values(array_unique(array_map(static fn (Specimen $t): string => $t->site->id, $trees)));
        $now = (int) $this->clock->today()->format('Y');
        $dated = [];
        foreach ([$now - 1, $now] as $year) {
            foreach ($this->events->ofYear($year, $sites) as $tree => $events) {
                foreach (array_keys($events) as $event) {
                    $dated[$tree]["$year $event"] = true;
                }
            }
        }

        return $dated;
    }

    /** @param array<string, true> $dated */
    private static function hasFlowered(array $dated, ExpectedWindow $flowering): bool
    {
        $year = $flowering->from->likely->format('Y');

        return isset($dated[$year.' '.SeasonalEvent::FirstFlower->value])
            || isset($dated[$year.' '.SeasonalEvent::FullFlower->value]);
    }

    private function frost(Specimen $tree, ExpectedWindow $flowering): ?LateFrost
    {
        $today = $this->clock->today();
        $to = min($today, $flowering->to->likely->modify('+'.CropSigns::FRUIT_SET_DAYS.' days'));
        $days = $this->stations->days($tree->site, $flowering->from->likely, $to);

        return LateFrost::between($days, $flowering->from->likely, $to, ...$this->table->frost());
    }

    /**
     * @param list<Note> $notes
     *
     * @return array{array<int, CropGrade>, bool, CropGrade|null} of the tree, or of its kind at the place, by year;
     *     whether the tree itself ever bore before; and what hangs that year on the others there
     */
    private static function grades(array $notes, Specimen $tree, int $year): array
    {
        $own = $there = $others = [];
        foreach ($notes as $note) {
            if ($note['tree'] === $tree->id) {
                $own[$note['year']] ??= $note['grade'];
            }
            if ($note['site'] === $tree->site->id) {
                $there[$note['year']][] = $note['grade'];
                if ($note['year'] === $year && $note['tree'] !== $tree->id) {
                    $others[] = $note['grade'];
                }
            }
        }
        $grades = \count($own) >= CropSigns::OWN_YEARS ? $own : array_map(self::middle(...), $there);
        unset($grades[$year]);
        $before = array_diff_key($own, [$year => true]);

        return [
            isset($own[$year]) ? [$year => $own[$year]] + $grades : $grades,
            [] !== array_filter($before, static fn (CropGrade $g): bool => CropGrade::None !== $g),
            [] === $others ? null : self::middle($others),
        ];
    }

    /** @param non-empty-list<CropGrade> $grades */
    private static function middle(array $grades): CropGrade
    {
        usort($grades, static fn (CropGrade $a, CropGrade $b): int => $a->share() <=> $b->share());

        return $grades[intdiv(\count($grades) - 1, 2)];
    }

    /**
     * @param list<Note> $notes
     *
     * @return array{int|null, Proportion|null} the last year in which some were cut open, and how many were sound
     */
    private static function sound(array $notes, Specimen $tree): array
    {
        $opened = $sound = [];
        foreach ($notes as $note) {
            if ($note['tree'] === $tree->id && $note['opened'] > 0) {
                $opened[$note['year']] = ($opened[$note['year']] ?? 0) + $note['opened'];
                $sound[$note['year']] = ($sound[$note['year']] ?? 0) + $note['sound'];
            }
        }
        if ([] === $opened) {
            return [null, null];
        }
        $year = max(array_keys($opened));

        return [$year, Proportion::of($sound[$year], $opened[$year])];
    }

    /**
     * @param list<TakenRow> $amounts
     * @param list<Note> $notes
     *
     * @return list<Take> summed by tree and year
     */
    private static function takes(
        array $amounts,
        string $taxon,
        string $part,
        TypicalCrop $typical,
        array $notes,
    ): array {
        $grades = [];
        foreach ($notes as $note) {
            $grades[$note['tree'].' '.$note['year']] ??= $note['grade'];
        }
        $sums = [];
        foreach ($amounts as $row) {
            if (
                $row['taxon'] === $taxon
                && $row['part'] === $part
                && $row['unit']->measures() === $typical->least->unit->measures()
            ) {
                $key = $row['tree'].' '.$row['on']->format('Y');
                $sums[$key] = ($sums[$key] ?? 0.0) + $row['amount'] * $row['unit']->inBase();
            }
        }
        $takes = [];
        foreach ($sums as $key => $amount) {
            [$tree, $year] = explode(' ', $key);
            $takes[] = new Take($tree, (int) $year, $amount, $grades[$key] ?? null);
        }

        return $takes;
    }
}
