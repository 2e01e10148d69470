<?php

declare(strict_types=1);

namespace App\Season;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Library\FloraLibrary;
use App\Season\View\PhenologyRowView;
use App\Trees\CoveredTrees;
use App\Trees\SiteRepository;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Season\Sighting;
use Hylognosis\Season\Trend;

/** When what came, by kind and place, over the years. */
final readonly class PhenologyLog
{
    private const YEARS = 50;

    public function __construct(
        private TreeEventRepository $events,
        private SiteRepository $sites,
        private LearnedSeasons $seasons,
        private CoveredTrees $covered,
        private FloraLibrary $library,
        private SchoolClock $clock,
    ) {
    }

    /** @return list<PhenologyRowView> of the reader's flora; those with the most years first */
    public function of(User $reader): array
    {
        $flora = $this->library->flora($reader->flora);
        $hidden = $this->covered->for($reader);
        $groups = [];
        foreach (
            $this->events->sightings($flora->name, $this->clock->today()->modify('-'.self::YEARS.' years')) as $s
        ) {
            if (!isset($hidden[$s->tree])) {
                $groups[$s->kind.' '.$s->site.' '.$s->event->value][] = $s;
            }
        }
        $rows = [];
        foreach ($groups as $sightings) {
            $first = $sightings[0];
            $site = $this->sites->find($first->site);
            $taxon = $flora->taxa[$first->kind] ?? null;
            if (null === $site || null === $taxon) {
                continue;
            }
            [$days, $late] = $this->byYear($sightings, $this->seasons->at($flora, $site)->expectedNear(...));
            $trend = Trend::of($late);
            $rows[] = new PhenologyRowView(
                $taxon->id,
                $taxon->commonName(),
                $site->name,
                $first->event,
                $first->event->words(),
                $days,
                null === $trend ? null : round($trend->perDecade, 1),
                null === $trend ? null : round($trend->error, 1),
            );
        }
        usort(
            $rows,
            static fn (PhenologyRowView $a, PhenologyRowView $b): int => [\count($b->days), $a->commonName] <=> [
                \count($a->days),
                $b->commonName,
            ],
        );

        return $rows;
    }

    /**
     * @param list<Sighting>                                   $sightings
     * @param \Closure(Sighting): (\DateTimeImmutable|null) $expected
     *
     * @return array{list<string>, array<int, float>} the mean day of each year, and by the year how many days late
     */
    private function byYear(array $sightings, \Closure $expected): array
    {
        $late = $bases = [];
        foreach ($sightings as $sighting) {
            $base = $expected($sighting);
            if (null !== $base) {
                $year = (int) $base->format('Y');
                $bases[$year] = $base;
                $late[$year][] = CalendarDay::between($base, $sighting->day);
            }
        }
        ksort($late);
        $days = $means = [];
        foreach ($late as $year => $of) {
            $means[$year] = (float) array_sum($of) / \count($of);
            $days[] = CalendarDay::iso($bases[$year]->modify(\sprintf('%+d days', (int) round($means[$year]))));
        }

        return [$days, $means];
    }
}
