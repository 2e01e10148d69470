<?php

declare(strict_types=1);

namespace App\Season;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Examine\ExaminationRepository;
use App\Examine\Summaries;
use App\Harvest\HarvestLog;
use App\Library\FloraLibrary;
use App\Map\Heights;
use App\Season\Input\PlanQuery;
use App\Season\View\AskAgainView;
use App\Season\View\EndKind;
use App\Season\View\EndView;
use App\Season\View\HopeView;
use App\Season\View\PlanDayView;
use App\Season\View\PlanView;
use App\Season\View\ReasonKind;
use App\Season\View\ReasonView;
use App\Season\View\StopView;
use App\Trees\CoveredTrees;
use App\Trees\Site;
use App\Trees\SiteRepository;
use App\Trees\Specimen;
use App\Trees\SpecimenRepository;
use App\Web\Refused;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Hylognosis\Crop\CropOutlook;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Position\GroundLine;
use Hylognosis\Route\Contours;
use Hylognosis\Route\Tour;
use Hylognosis\Route\WalkingTime;
use Hylognosis\Season\Daylight;
use Hylognosis\Season\LearnedYears;
use Hylognosis\Season\PartYear;
use Hylognosis\Season\Phenology;
use Hylognosis\Season\SeasonalEvent;
use Hylognosis\Season\Sighting;

/** Which trees to go to on a day, why, with what, and in which order. */
final readonly class VisitPlan
{
    private const DAYS = 10;
    /** More trees nobody walks to in a day. */
    private const MOST = 60;
    private const SECONDS = 40;
    /** A permission that ends so soon is asked for again. */
    private const ASK_BEFORE = '+21 days';
    /** An event is looked for so many days before and after the likely day. */
    private const ABOUT = 10;

    public function __construct(
        private SpecimenRepository $specimens,
        private SiteRepository $sites,
        private ExaminationRepository $examinations,
        private Summaries $summaries,
        private LearnedSeasons $seasons,
        private TreeEventRepository $events,
        private CropOutlooks $outlooks,
        private HarvestLog $harvests,
        private CoveredTrees $covered,
        private FloraLibrary $library,
        private Heights $heights,
        private Connection $database,
        private SchoolClock $clock,
    ) {
    }

    public function of(PlanQuery $query, User $reader): PlanView
    {
        $flora = $this->library->flora($reader->flora);
        $sites = $this->chosen($query);
        $hidden = $this->covered->for($reader);
        $trees = array_values(
            array_filter(
                $this->specimens->held($flora->name, $query->sites),
                static fn (Specimen $t): bool => isset($sites[$t->site->id]) && !isset($hidden[$t->id]),
            ),
        );
        $years = $this->years($flora, $trees);
        $choices = self::choices($flora, $years);
        $years = [] === $query->hopes ? $years : self::hopedFor($years, $query->hopes);
        $days = $this->days($years);
        $day = null === $query->day ? self::best($days) : CalendarDay::parse($query->day);
        if ($day < $this->clock->today()) {
            throw Refused::field('day', 'That day is over.');
        }
        $gone = array_fill_keys([...$query->skip, ...$query->done], true);
        $looked = $this->lookedAt($trees);
        $dated = $this->events->ofYear((int) $day->format('Y'), array_keys($sites));
        $stops = [];
        foreach ($trees as $tree) {
            $reasons = isset($gone[$tree->id])
                ? []
                : $this->reasons(
                    $flora,
                    $tree,
                    $years[$tree->site->id][$tree->kind] ?? [],
                    $day,
                    $looked[$tree->id] ?? [],
                    $dated[$tree->id] ?? [],
                );
            if ([] !== $reasons && self::calls($reasons, $query)) {
                $stops[$tree->id] = [$tree, $reasons];
            }
        }
        foreach ([] === $query->hopes ? $this->seconds($reader, $sites) : [] as $tree) {
            if (!isset($gone[$tree->id])) {
                // of what it may be nothing is told
                $stops[$tree->id] = [$tree, [new ReasonView(ReasonKind::Second, '', '', '', '', null, [])]];
            }
        }
        uasort($stops, static fn (array $a, array $b): int => self::weight($b[1]) <=> self::weight($a[1]));
        $taken = \array_slice($stops, 0, self::MOST, true);
        $left = \count($stops) - \count($taken);

        return $this->walked(
            $query,
            $day,
            $days,
            $this->withCrops($flora, $taken, $query, $reader),
            $sites,
            $left,
            $flora,
            $choices,
        );
    }

    /** @param list<ReasonView> $reasons */
    private static function calls(array $reasons, PlanQuery $query): bool
    {
        return [] === $query->hopes
            ? [] !== $reasons
            : [] !== array_filter($reasons, static fn (ReasonView $r): bool => ReasonKind::Date !== $r->kind);
    }

    /**
     * What is likely bare calls nobody out.
     *
     * @param array<string, array{Specimen, non-empty-list<ReasonView>}> $stops
     *
     * @return list<array{Specimen, non-empty-list<ReasonView>}> with what may be expected
     */
    private function withCrops(Flora $flora, array $stops, PlanQuery $query, User $reader): array
    {
        $taking = [];
        foreach ($stops as [$tree, $reasons]) {
            foreach ($reasons as $reason) {
                if (ReasonKind::Take === $reason->kind) {
                    $taking[$tree->id] = $tree;
                }
            }
        }
        $crops = $this->outlooks->of($flora, array_values($taking), $reader);
        $learnt = $this->harvests->learnt(array_keys($taking), $reader);
        $with = [];
        foreach ($stops as [$tree, $reasons]) {
            $told = [];
            foreach ($reasons as $reason) {
                $crop = ReasonKind::Take === $reason->kind ? $crops[$tree->id][$reason->id] ?? null : null;
                if (null === $crop || $crop->chances['none'] < 100 * CropOutlook::BARE) {
                    $told[] =
                        ReasonKind::Take === $reason->kind
                            ? $reason->expecting($crop, $learnt[$tree->id][$reason->id] ?? null)
                            : $reason;
                }
            }
            if ([] !== $told && self::calls($told, $query)) {
                $with[] = [$tree, $told];
            }
        }

        return $with;
    }

    /** @return array<string, Site> by id */
    private function chosen(PlanQuery $query): array
    {
        $sites = [];
        foreach ($this->sites->findBy([], ['name' => 'ASC']) as $site) {
            if ([] === $query->sites || \in_array($site->id, $query->sites, true)) {
                $sites[$site->id] = $site;
            }
        }
        if (\count($sites) < \count(array_unique($query->sites))) {
            throw Refused::field('sites', 'There is no such place.');
        }

        return $sites;
    }

    /**
     * @param list<Specimen> $trees
     *
     * @return array<string, array<string, list<array{Part, PartYear}>>> by site and kind
     */
    private function years(Flora $flora, array $trees): array
    {
        $years = [];
        $today = $this->clock->today();
        foreach ($trees as $tree) {
            $taxon = $flora->taxa[$tree->kind] ?? null;
            if (null === $taxon || isset($years[$tree->site->id][$tree->kind])) {
                continue;
            }
            $years[$tree->site->id][$tree->kind] = [];
            $phenology = Phenology::at($flora, $tree->site->place());
            foreach ($phenology->shift->holds() ? $taxon->parts : [] as $part) {
                $of = PartYear::of(
                    $flora,
                    $taxon,
                    $part,
                    $this->seasons->at($flora, $tree->site),
                    $phenology,
                    $tree->site->id,
                    '',
                    null,
                    $today,
                );
                if (null !== $of) {
                    $years[$tree->site->id][$tree->kind][] = [$part, $of];
                }
            }
        }

        return $years;
    }

    /**
     * @param array<string, array<string, list<array{Part, PartYear}>>> $years
     *
     * @return list<HopeView> what could be hoped for, by name
     */
    private static function choices(Flora $flora, array $years): array
    {
        $choices = [];
        foreach ($years as $kinds) {
            foreach ($kinds as $kind => $parts) {
                foreach ($parts as [$part]) {
                    $id = $kind.'/'.$part->id;
                    $choices[$id] = new HopeView($id, $flora->taxa[$kind]->commonName(), $part->label);
                }
            }
        }
        usort($choices, static fn (HopeView $a, HopeView $b): int => [$a->name, $a->part] <=> [$b->name, $b->part]);

        return $choices;
    }

    /**
     * @param array<string, array<string, list<array{Part, PartYear}>>> $years
     * @param list<string>                                             $hopes
     *
     * @return array<string, array<string, list<array{Part, PartYear}>>>
     */
    private static function hopedFor(array $years, array $hopes): array
    {
        foreach ($years as $site => $kinds) {
            foreach ($kinds as $kind => $parts) {
                $years[$site][$kind] = array_values(
                    array_filter($parts, static fn (array $p): bool => \in_array($kind.'/'.$p[0]->id, $hopes, true)),
                );
            }
        }

        return $years;
    }

    /**
     * @param array<string, array<string, list<array{Part, PartYear}>>> $years
     *
     * @return non-empty-list<PlanDayView>
     */
    private function days(array $years): array
    {
        $days = [];
        for ($i = 0; $i < self::DAYS; ++$i) {
            $day = $this->clock->today()->modify("+$i days");
            $take = $look = 0;
            foreach ($years as $kinds) {
                foreach ($kinds as $parts) {
                    foreach ($parts as [, $year]) {
                        $take += self::isOpen($year, $day) ? 1 : 0;
                        $look += self::isLook($year, $day) ? 1 : 0;
                    }
                }
            }
            $days[] = new PlanDayView(CalendarDay::iso($day), $take, $look);
        }

        \assert([] !== $days);

        return $days;
    }

    /** @param non-empty-list<PlanDayView> $days */
    private static function best(array $days): \DateTimeImmutable
    {
        $best = $days[0];
        foreach ($days as $day) {
            if ($day->take + $day->look > $best->take + $best->look) {
                $best = $day;
            }
        }

        return CalendarDay::parse($best->day);
    }

    /** A window that never closes calls nobody out. */
    private static function isOpen(PartYear $year, \DateTimeImmutable $day): bool
    {
        return null !== $year->next
            && !$year->next->isFixed
            && $year->next->from->likely <= $day
            && $day <= $year->next->to->likely;
    }

    /** To be looked at for a window that is still to come, and in which it cannot be told. */
    private static function isLook(PartYear $year, \DateTimeImmutable $day): bool
    {
        return null !== $year->lookFrom && !$year->onTheSpot && $year->lookFrom <= $day && $day <= $year->lookBy;
    }

    /**
     * When each character was last looked at on each tree.
     *
     * @param list<Specimen> $trees
     *
     * @return array<string, array<string, string>> tree → character → day, YYYY-MM-DD
     */
    private function lookedAt(array $trees): array
    {
        $looked = [];
        foreach (array_chunk($trees, 500) as $some) {
            $rows = $this->database->executeQuery(
                'SELECT e.specimen_id AS tree, c.trait AS character, MAX(e.date) AS day FROM score c '.
                    "JOIN examination e ON e.id = c.examination_id WHERE e.specimen_id IN (?) AND c.answer <> 'cannot-be-seen' ".
                    'AND c.taken_back_at IS NULL AND e.brought_in = ? GROUP BY e.specimen_id, c.trait',
                [array_map(static fn (Specimen $t): string => $t->id, $some), false],
                [ArrayParameterType::STRING, ParameterType::BOOLEAN],
            );
            foreach ($rows->iterateNumeric() as [$tree, $character, $day]) {
                $looked[\is_string($tree) ? $tree : ''][\is_string($character) ? $character : ''] = \is_string($day)
                    ? $day
                    : '';
            }
        }

        return $looked;
    }

    /**
     * @param list<array{Part, PartYear}> $parts
     * @param array<string, string>       $looked
     * @param array<string, true>         $seen   events dated that year
     *
     * @return list<ReasonView>
     */
    private function reasons(
        Flora $flora,
        Specimen $tree,
        array $parts,
        \DateTimeImmutable $day,
        array $looked,
        array $seen,
    ): array {
        $taxon = $flora->taxa[$tree->kind] ?? null;
        if (null === $taxon) {
            return [];
        }
        $phenology = Phenology::at($flora, $tree->site->place());
        $reasons = [];
        foreach ($parts as [$part, $year]) {
            $open = self::isOpen($year, $day);
            $missing = $this->missing($flora, $taxon, $part, $phenology, $day, $looked);
            if ($open || (self::isLook($year, $day) && [] !== $missing)) {
                $reasons[] = new ReasonView(
                    $open ? ReasonKind::Take : ReasonKind::Look,
                    $taxon->id,
                    $taxon->commonName(),
                    $part->label,
                    $part->id,
                    CalendarDay::iso($open ? $year->next->to->likely ?? $day : $year->lookBy ?? $day),
                    $missing,
                );
            }
        }
        array_push($reasons, ...$this->datable($flora, $tree, $taxon, $day, $seen));

        return $reasons;
    }

    /**
     * @param array<string, string> $looked
     *
     * @return list<string> names of what is required, can be seen that day, and was not looked at lately
     */
    private function missing(
        Flora $flora,
        Taxon $taxon,
        Part $part,
        Phenology $phenology,
        \DateTimeImmutable $day,
        array $looked,
    ): array {
        $since = CalendarDay::iso($day->modify('-'.$part->freshnessDays().' days'));
        $missing = [];
        foreach ($part->required as $feature) {
            $character = $flora->character($feature->character);
            if (
                ($looked[$character->id] ?? '') < $since
                && $phenology->shows($taxon, $character, DayOfYear::on($day))
            ) {
                $missing[] = $character->label;
            }
        }

        return $missing;
    }

    /**
     * @param array<string, true> $seen
     *
     * @return list<ReasonView>
     */
    private function datable(Flora $flora, Specimen $tree, Taxon $taxon, \DateTimeImmutable $day, array $seen): array
    {
        $years = $this->seasons->at($flora, $tree->site);
        $reasons = [];
        foreach (SeasonalEvent::cases() as $event) {
            $near = $years->expectedNear(new Sighting($taxon->id, $event, $tree->site->id, $tree->id, $day));
            if (
                null === $near
                || abs(CalendarDay::between($near, $day)) > self::ABOUT + LearnedYears::FARTHEST_DAYS / 2
            ) {
                continue; // no spring is so late
            }
            $expected = isset($seen[$event->value])
                ? null
                : $years->event($taxon->id, $event, $tree->site->id, $tree->id, (int) $day->format('Y'));
            if (null !== $expected && abs(CalendarDay::between($expected->likely, $day)) <= self::ABOUT) {
                $reasons[] = new ReasonView(
                    ReasonKind::Date,
                    $taxon->id,
                    $taxon->commonName(),
                    $event->words(),
                    $event->value,
                    CalendarDay::iso($expected->likely),
                    [],
                );
            }
        }

        return $reasons;
    }

    /**
     * @param array<string, Site> $sites
     *
     * @return list<Specimen>
     */
    private function seconds(User $reader, array $sites): array
    {
        if (!$reader->role->mayDecide()) {
            return [];
        }
        $records = $this->examinations->wantingSecondFrom($reader, self::SECONDS);
        $trees = [];
        foreach ($this->summaries->of($records, $reader) as $i => $summary) {
            $tree = $records[$i]->specimen;
            if ($summary->wantsSecond && isset($sites[$tree->site->id]) && $tree->isThere()) {
                $trees[$tree->id] = $tree;
            }
        }

        return array_values($trees);
    }

    /** @param list<ReasonView> $reasons */
    private static function weight(array $reasons): int
    {
        return array_sum(
            array_map(
                static fn (ReasonView $r): int => match ($r->kind) {
                    ReasonKind::Second => 8,
                    ReasonKind::Look => 6,
                    ReasonKind::Take => 5,
                    ReasonKind::Date => 1,
                },
                $reasons,
            ),
        );
    }

    /**
     * @param non-empty-list<PlanDayView>                    $days
     * @param list<array{Specimen, non-empty-list<ReasonView>}> $stops
     * @param array<string, Site>                            $sites
     * @param list<HopeView>                                 $choices
     */
    private function walked(
        PlanQuery $query,
        \DateTimeImmutable $day,
        array $days,
        array $stops,
        array $sites,
        int $left,
        Flora $flora,
        array $choices,
    ): PlanView {
        $placed = array_values(array_filter($stops, static fn (array $s): bool => null !== $s[0]->latitude));
        $first = array_values($sites)[0] ?? null;
        $ends = self::ends($query, $placed, $first);
        $start = [$ends[0]->latitude, $ends[0]->longitude];
        // on the way the round begins where one is, and ends where it began
        $points = [
            null !== $query->fromLatitude && null !== $query->fromLongitude
                ? [$query->fromLatitude, $query->fromLongitude]
                : $start,
        ];
        foreach ($placed as [$tree]) {
            $points[] = [(float) $tree->latitude, (float) $tree->longitude];
        }
        $points[] = $start;
        $contours = $this->heights->contours();
        $heights = array_map(static fn (array $p): ?float => $contours->heightAt($p[0], $p[1])?->metres(), $points);
        [$times, $metres] = self::ways($points, $heights);
        $tour = Tour::through($times);
        $views = [];
        $at = 0;
        foreach ($tour->order as $n) {
            $views[] = self::stop(
                $placed[$n - 1],
                $times[$at][$n],
                $metres[$at][$n],
                ($heights[$n] ?? 0.0) - ($heights[$at] ?? 0.0),
            );
            $at = $n;
        }
        foreach ($stops as $stop) {
            if (null === $stop[0]->latitude) {
                $views[] = self::stop($stop, null, null, null);
            }
        }
        $light = null === $first ? null : Daylight::on($day, $first->place(), new \DateTimeZone($query->zone));

        return new PlanView(
            CalendarDay::iso($day),
            $days,
            $light?->dawn?->format('H:i'),
            $light?->sunrise?->format('H:i'),
            $light?->sunset?->format('H:i'),
            $light?->dusk?->format('H:i'),
            $views,
            (int) round($tour->seconds),
            (int) round($times[$at][\count($points) - 1]),
            $tour->isExact,
            !\in_array(null, $heights, true),
            self::kit($flora, $stops),
            $this->permissions($sites, $day),
            $left,
            $ends,
            self::approach($ends, $contours),
            $choices,
        );
    }

    /**
     * Where the round begins and ends, and from where one walks to it.
     *
     * @param list<array{Specimen, non-empty-list<ReasonView>}> $placed
     *
     * @return non-empty-list<EndView> the point of the round itself first, then the car, if it stays elsewhere
     */
    private static function ends(PlanQuery $query, array $placed, ?Site $first): array
    {
        if (null !== $query->latitude && null !== $query->longitude) {
            return [new EndView(EndKind::Here, '', $query->latitude, $query->longitude)];
        }
        $stops = $sites = [];
        foreach ($placed as [$tree]) {
            $sites[$tree->site->id] = $tree->site;
            $stops[$tree->site->id] = ($stops[$tree->site->id] ?? 0) + 1;
        }
        arsort($stops);
        $site = $sites[array_key_first($stops) ?? ''] ?? $first; // where most of it is
        if (null === $site) {
            return [new EndView(EndKind::Place, '', 0.0, 0.0)];
        }
        $ends = [];
        foreach ([[EndKind::Entrance, $site->entrance], [EndKind::Car, $site->car]] as [$kind, $point]) {
            if ([] !== $point) {
                $ends[] = new EndView($kind, $site->name, $point[1], $point[0]);
            }
        }

        return [] === $ends ? [new EndView(EndKind::Place, $site->name, $site->latitude, $site->longitude)] : $ends;
    }

    /** @param non-empty-list<EndView> $ends */
    private static function approach(array $ends, Contours $contours): int
    {
        if (!isset($ends[1])) {
            return 0;
        }
        $points = array_map(static fn (EndView $e): array => [$e->latitude, $e->longitude], $ends);
        $heights = array_map(static fn (array $p): ?float => $contours->heightAt($p[0], $p[1])?->metres(), $points);

        return (int) round(self::ways($points, $heights)[0][1][0]);
    }

    /**
     * @param list<array{float, float}> $points
     * @param list<float|null>          $heights
     *
     * @return array{list<list<float>>, list<list<float>>} seconds and metres from each to each
     */
    private static function ways(array $points, array $heights): array
    {
        $times = $metres = [];
        foreach ($points as $i => [$latitude, $longitude]) {
            $row = $far = [];
            foreach ($points as $j => [$toLatitude, $toLongitude]) {
                $way = GroundLine::between($latitude, $longitude, $toLatitude, $toLongitude)->length;
                $rise = isset($heights[$i], $heights[$j]) ? $heights[$j] - $heights[$i] : 0.0;
                $row[] = WalkingTime::seconds($way, $rise);
                $far[] = $way->metres();
            }
            $times[] = $row;
            $metres[] = $far;
        }

        return [$times, $metres];
    }

    /** @param array{Specimen, non-empty-list<ReasonView>} $stop */
    private static function stop(array $stop, ?float $seconds, ?float $metres, ?float $climb): StopView
    {
        [$tree, $reasons] = $stop;

        return new StopView(
            $tree->id,
            $tree->tag,
            $tree->site->name,
            $tree->whereabouts,
            $tree->latitude,
            $tree->longitude,
            null === $seconds ? null : (int) round($seconds),
            null === $metres ? null : (int) round($metres),
            null === $climb ? null : (int) round($climb),
            $reasons,
        );
    }

    /**
     * @param list<array{Specimen, non-empty-list<ReasonView>}> $stops
     *
     * @return list<string>
     */
    private static function kit(Flora $flora, array $stops): array
    {
        $kit = [];
        foreach ($stops as [, $reasons]) {
            foreach ($reasons as $reason) {
                $part = $flora->taxa[$reason->taxon]->parts[$reason->id] ?? null;
                foreach (null === $part ? [] : $part->required as $feature) {
                    $kit[$flora->character($feature->character)->sight->instrument->value] = true;
                }
            }
        }
        unset($kit['none']);

        return array_keys($kit);
    }

    /**
     * @param array<string, Site> $sites
     *
     * @return list<AskAgainView>
     */
    private function permissions(array $sites, \DateTimeImmutable $day): array
    {
        $ending = [];
        foreach ($this->sites->endingBy($day->modify(self::ASK_BEFORE)) as $site) {
            if (isset($sites[$site->id]) && null !== $site->permissionUntil) {
                $ending[] = new AskAgainView(
                    $site->id,
                    $site->name,
                    $site->owner,
                    CalendarDay::iso($site->permissionUntil),
                    $site->permissionUntil < $day,
                );
            }
        }

        return $ending;
    }
}
