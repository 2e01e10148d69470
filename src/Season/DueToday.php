<?php

declare(strict_types=1);

namespace App\Season;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Library\FloraLibrary;
use App\Season\View\DueView;
use App\Season\View\WeatherMatter;
use App\Season\View\WeatherNoteView;
use App\Trees\CoveredTrees;
use App\Trees\Site;
use App\Trees\SiteRepository;
use App\Trees\SpecimenRepository;
use App\Trees\SpentQuotas;
use App\Trees\StationKind;
use App\Weather\Stations;
use Hylognosis\Flora\Flora;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Season\PartYear;
use Hylognosis\Season\Phenology;
use Hylognosis\Storm\Gale;
use Symfony\Contracts\Cache\CacheInterface;
use Symfony\Contracts\Cache\ItemInterface;

/** What own trees call for today, at all places, and the weather that was. */
final readonly class DueToday
{
    private const MOST = 12;
    private const KEPT_SECONDS = 86_400;
    private const DAYS = 3;
    private const HEAT = 30.0;
    /** Months, north of the equator, in which flowers are lost to frost. */
    private const TENDER = [4, 5, 6];

    public function __construct(
        private SpecimenRepository $specimens,
        private SiteRepository $sites,
        private LearnedSeasons $seasons,
        private CoveredTrees $covered,
        private FloraLibrary $library,
        private Stations $stations,
        private SchoolClock $clock,
        private TreeEventRepository $events,
        private CacheInterface $cache,
        private SpentQuotas $spent,
    ) {
    }

    /** @return list<DueView> soonest to close first */
    public function of(User $reader): array
    {
        $flora = $this->library->flora($reader->flora);
        $hidden = $this->covered->for($reader);
        $today = $this->clock->today();
        $kinds = $sites = [];
        foreach ($this->specimens->kindsHeld($flora->name) as $tree) {
            if (!isset($hidden[$tree['id']])) {
                $kinds[$tree['site']][$tree['kind']][] = $tree['tag'];
            }
        }
        foreach ($this->sites->findBy(['id' => array_keys($kinds)]) as $site) {
            $sites[$site->id] = $site;
        }
        // reckoned once for as long as nothing it hangs on is another
        $key = hash(
            'sha256',
            serialize([
                2, // of what is kept; to be raised when that changes
                $flora->hash,
                CalendarDay::iso($today),
                $kinds,
                array_map(static fn (Site $s): array => [$s->name, $s->place(), $s->station], $sites),
                $this->events->state(),
                $this->stations->state(),
            ]),
        );

        $due = $this->cache->get('due-'.$key, function (ItemInterface $item) use (
            $flora,
            $kinds,
            $sites,
            $today,
        ): array {
            $item->expiresAfter(self::KEPT_SECONDS);

            return $this->reckoned($flora, $kinds, $sites, $today);
        });
        $spent = $this->spent->at($sites);

        return array_map(
            static fn (DueView $d): DueView => isset($spent[$d->siteId][$d->taxon.'/'.$d->partId]) ? $d->spent() : $d,
            $due,
        );
    }

    /**
     * @param array<string, array<string, list<string>>> $kinds site → kind → tags
     * @param array<string, Site>                        $sites by id
     *
     * @return list<DueView>
     */
    private function reckoned(Flora $flora, array $kinds, array $sites, \DateTimeImmutable $today): array
    {
        $due = [];
        foreach ($kinds as $id => $of) {
            $phenology = Phenology::at($flora, $sites[$id]->place());
            $years = $this->seasons->at($flora, $sites[$id]);
            foreach ($of as $kind => $tags) {
                $taxon = $flora->taxa[$kind] ?? null;
                if (null === $taxon || !$phenology->shift->holds()) {
                    continue;
                }
                foreach ($taxon->parts as $part) {
                    $year = PartYear::of($flora, $taxon, $part, $years, $phenology, $id, '', null, $today);
                    $open = null !== $year?->next && !$year->next->isFixed && $year->next->from->likely <= $today;
                    $look = null !== $year?->lookFrom && !$year->onTheSpot && $year->lookFrom <= $today;
                    $until = match (true) {
                        $open => $year->next->to->likely,
                        $look => $year->lookBy,
                        default => null,
                    };
                    if (null !== $until) {
                        $due[] = new DueView(
                            $id,
                            $sites[$id]->name,
                            $taxon->id,
                            $taxon->commonName(),
                            $part->id,
                            $part->label,
                            !$open,
                            CalendarDay::iso($until),
                            CalendarDay::between($today, $until),
                            $tags,
                        );
                    }
                }
            }
        }
        usort($due, static fn (DueView $a, DueView $b): int => [$a->daysLeft, $a->site] <=> [$b->daysLeft, $b->site]);

        return \array_slice($due, 0, self::MOST);
    }

    /** @return list<WeatherNoteView> of the last days, at places with a station */
    public function weather(): array
    {
        $today = $this->clock->today();
        $notes = [];
        foreach ($this->sites->findBy([], ['name' => 'ASC']) as $site) {
            foreach ($this->stations->days($site, $today->modify('-'.self::DAYS.' days'), $today) as $day) {
                $tender = \in_array((int) $day->day->format('n'), self::TENDER, true) && $site->latitude > 0;
                foreach (
                    [
                        [
                            WeatherMatter::Storm,
                            $day->gustMetresPerSecond,
                            ($day->gustMetresPerSecond ?? 0.0) >= Gale::FROM,
                        ],
                        [WeatherMatter::Frost, $day->least->celsius, $tender && $day->isFrost()],
                        [WeatherMatter::Heat, $day->greatest->celsius, $day->greatest->celsius >= self::HEAT],
                    ] as [$matter, $figure, $matters]
                ) {
                    if ($matters && null !== $figure) {
                        $notes[] = new WeatherNoteView(
                            $site->name,
                            CalendarDay::iso($day->day),
                            $matter,
                            $figure,
                            StationKind::StandIn === $site->station,
                        );
                    }
                }
            }
        }

        return $notes;
    }
}
