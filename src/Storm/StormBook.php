<?php

declare(strict_types=1);

namespace App\Storm;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Library\FloraLibrary;
use App\Library\StockTable;
use App\Pastures\PastureRepository;
use App\Pastures\PastureTrees;
use App\Stock\View\ReachView;
use App\Storm\View\GaleView;
use App\Storm\View\StormAlarmView;
use App\Storm\View\StormStopView;
use App\Storm\View\StormsView;
use App\Storm\View\StormWalkView;
use App\Trees\HeldKinds;
use App\Trees\Site;
use App\Trees\Stand;
use App\Trees\TreeMeasureRepository;
use App\Weather\Stations;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Place;
use Hylognosis\Season\Phenology;
use Hylognosis\Stock\CarriedLeaf;
use Hylognosis\Stock\FallingReach;
use Hylognosis\Stock\Peril;
use Hylognosis\Stock\WithinReach;
use Hylognosis\Storm\Alarm;
use Hylognosis\Storm\Gale;
use Hylognosis\Storm\StormFinding;

/** Storms, the walks after them, and the alarms that are open. */
final readonly class StormBook
{
    /** So many days back a gale nobody went round after is still told. */
    private const LOOKED_BACK = '-10 days';

    public function __construct(
        private StormWalkRepository $walks,
        private StormStopRepository $stops,
        private StormLaying $laying,
        private PastureRepository $pastures,
        private PastureTrees $trees,
        private TreeMeasureRepository $measures,
        private HeldKinds $kinds,
        private StockTable $table,
        private FloraLibrary $library,
        private Stations $stations,
        private SchoolClock $clock,
    ) {
    }

    public function all(User $reader): StormsView
    {
        $walks = $this->walks->last();

        return new StormsView(
            $this->waiting($walks, $reader),
            array_map(fn (StormWalk $w): StormWalkView => $this->walk($w, $reader), $walks),
            Gale::FROM,
        );
    }

    /**
     * Where it blew lately, and nobody has raised a walk since.
     *
     * @param list<StormWalk> $walks
     *
     * @return list<GaleView>
     */
    private function waiting(array $walks, User $reader): array
    {
        $sites = [];
        foreach ($this->pastures->there() as $pasture) {
            $sites[$pasture->site->id] = $pasture->site;
        }
        $today = $this->clock->today();
        $waiting = [];
        foreach ($sites as $site) {
            $gale = Gale::among($this->stations->days($site, $today->modify(self::LOOKED_BACK), $today))[0] ?? null;
            if (null === $gale || self::isWalked($walks, $site, $gale->day)) {
                continue;
            }
            $laid = $this->laying->at($site, $reader);
            $waiting[] = new GaleView(
                $site->id,
                $site->name,
                CalendarDay::iso($gale->day),
                $gale->gust,
                \count($laid->trees),
                $laid->round->wholeSeconds,
            );
        }
        usort($waiting, static fn (GaleView $a, GaleView $b): int => $b->gust <=> $a->gust);

        return $waiting;
    }

    /** @param list<StormWalk> $walks */
    private static function isWalked(array $walks, Site $site, \DateTimeImmutable $day): bool
    {
        foreach ($walks as $walk) {
            if ($walk->site === $site && $walk->blewAt >= $day) {
                return true;
            }
        }

        return false;
    }

    public function walk(StormWalk $walk, User $reader): StormWalkView
    {
        $stops = $this->stops->ofWalk($walk);
        $hidden = $this->kinds->hiddenFrom($reader);
        $girths = $this->measures->girths(
            array_map(static fn (StormStop $s): string => $s->specimen->id ?? '', $stops),
        );
        $views = array_map(
            fn (StormStop $s): StormStopView => $this->stop($s, $hidden, $girths[$s->specimen->id ?? ''] ?? null),
            $stops,
        );

        return new StormWalkView(
            $walk->id,
            $walk->site->id,
            $walk->site->name,
            $walk->blewAt->format(\DATE_ATOM),
            $walk->gust,
            $walk->by->name,
            $walk->seconds,
            $views,
            \count(array_filter($views, static fn (StormStopView $s): bool => null === $s->finding)),
            \count(array_filter($views, static fn (StormStopView $s): bool => null !== $s->alarm)),
        );
    }

    /** Whether something lies there that nobody has cleared away, and no animal was moved from. */
    public function isAlarm(StormStop $stop, User $reader): bool
    {
        return null !== $this->alarm($stop, $this->kindsOf($stop, $this->kinds->hiddenFrom($reader)), null);
    }

    /**
     * @param array<string, true> $hidden
     * @param float|null          $girth centimetres
     */
    private function stop(StormStop $stop, array $hidden, ?float $girth): StormStopView
    {
        $tree = $stop->specimen ?? $stop->stand ?? throw new \LogicException('A stop is of a tree or of a stand.');
        $kinds = $this->kindsOf($stop, $hidden);
        $area = $stop->pasture?->area();
        $point = $tree instanceof Stand
            ? $tree->line[0] ?? null
            : (null === $tree->latitude || null === $tree->longitude ? null : [$tree->longitude, $tree->latitude]);

        return new StormStopView(
            $stop->id,
            $stop->number,
            $tree->id,
            $tree instanceof Stand,
            $tree instanceof Stand ? $tree->label : $tree->tag,
            $tree instanceof Stand ? '' : $tree->whereabouts,
            [] === $kinds ? '' : $this->kinds->nameOf($tree),
            $stop->pasture->name ?? '',
            null === $area || null === $point
                ? null
                : FallingReach::of(null, $kinds, Length::ofMetres(0))->zone($area, $point[1], $point[0]),
            null === $stop->pasture ? null : Peril::of($kinds, $stop->pasture->animal),
            $stop->seconds,
            $point[1] ?? null,
            $point[0] ?? null,
            $stop->finding,
            $stop->thickness,
            $stop->note,
            $stop->foundAt?->format(\DATE_ATOM),
            $stop->foundBy->name ?? '',
            $this->alarm($stop, $kinds, $girth),
            $stop->finding?->wantsArborist() ?? false,
            $stop->ended,
            $stop->endedAt?->format(\DATE_ATOM),
            $stop->endedBy->name ?? '',
        );
    }

    /**
     * @param list<Taxon> $kinds
     * @param float|null  $girth centimetres
     */
    private function alarm(StormStop $stop, array $kinds, ?float $girth): ?StormAlarmView
    {
        $pasture = $stop->pasture;
        if (null === $pasture || null === $stop->finding || null !== $stop->ended) {
            return null;
        }
        $blewAt = $stop->walk->blewAt;
        $isBare = $this->isBare($stop, $kinds, $blewAt, $pasture->site->place());
        $seen = array_merge(...array_map(fn (Taxon $t): array => $this->table->of($t->id), $kinds));
        $alarm = Alarm::of(
            $stop->finding,
            Peril::of($kinds, $pasture->animal),
            $pasture->herd(),
            $isBare ? null : $this->leaf($stop, $kinds, $girth),
            $seen,
            ($this->clock->now()->getTimestamp() - $blewAt->getTimestamp()) / 3600,
        );
        $group = $this->table->group($kinds[0]->id ?? '');

        return null === $alarm
            ? null
            : new StormAlarmView(
                $alarm->peril,
                $alarm->wilting,
                round($alarm->hours, 1),
                $pasture->animal,
                $pasture->number,
                $pasture->isGrazed(DayOfYear::on($this->clock->today())),
                $isBare,
                array_map(static fn (WithinReach $r): ReachView => ReachView::of($r, $group), $alarm->reaches),
                $alarm->leaf?->least->grams,
                $alarm->leaf?->most->grams,
            );
    }

    /**
     * What came down: as thick as somebody measured it, and an uprooted tree as thick as it was measured when it stood.
     *
     * @param list<Taxon> $kinds
     * @param float|null  $girth centimetres
     */
    private function leaf(StormStop $stop, array $kinds, ?float $girth): ?CarriedLeaf
    {
        $diameter = match (true) {
            null !== $stop->thickness => Length::of($stop->thickness, 'mm'),
            StormFinding::Uprooted === $stop->finding && null !== $girth => Length::ofMetres($girth / 100 / \M_PI),
            default => null,
        };

        return null === $diameter || true !== $stop->finding?->hasThickness()
            ? null
            : $this->trees->leaf($kinds, $diameter);
    }

    /**
     * Whether it bears no leaves at that time of year. What may be any tree may bear some.
     *
     * @param list<Taxon> $kinds
     */
    private function isBare(StormStop $stop, array $kinds, \DateTimeImmutable $day, Place $place): bool
    {
        $flora = $stop->specimen->kindFlora ?? $stop->stand->flora ?? '';
        if ([] === $kinds) {
            return false;
        }
        $phenology = Phenology::at($this->library->flora($flora), $place);
        foreach ($kinds as $taxon) {
            $told = 0;
            foreach ([Phenophase::Leafing, Phenophase::InLeaf] as $phase) {
                $stretch = $phenology->stretch($taxon, $phase);
                $told += null === $stretch ? 0 : 1;
                if (true === $stretch?->contains(DayOfYear::on($day))) {
                    return false;
                }
            }
            if (0 === $told) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param array<string, true> $hidden
     *
     * @return list<Taxon>
     */
    private function kindsOf(StormStop $stop, array $hidden): array
    {
        return match (true) {
            null !== $stop->specimen => $this->kinds->ofTree($stop->specimen, $hidden),
            null !== $stop->stand => $this->kinds->ofStand($stop->stand),
            default => [],
        };
    }
}
