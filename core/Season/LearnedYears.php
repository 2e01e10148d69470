<?php

declare(strict_types=1);

namespace Hylognosis\Season;

use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\Cholesky;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Place;
use Hylognosis\Measure\Window;

/**
 * Windows that learn from dates people have seen. The gate does not read them: it keeps to the flora.
 *
 * A date strays from what the flora says, moved to the site, by the sum of normal deviations with spreads that are
 * given: of the kind, of the event within the kind, of the site, of the site's year (shared by all kinds there), of the
 * tree, and what is left. Given the dates seen, the others are normal again; docs/the-year.md works one by hand.
 *
 * Solved kind by kind: kinds are bound to each other by sites and years alone, so that only those are solved together.
 */
final class LearnedYears
{
    /** A date farther from the expected one is of something else, or mistyped: it teaches nothing. */
    public const FARTHEST_DAYS = 60;

    /** Days from an event so few that none of another year can be nearer, whatever the springs are like. */
    private const NO_NEARER = 120;

    /** @var array<string, array{day: \DateTimeImmutable, count: int}> by tree, event and year */
    private array $seen = [];
    /** @var array<string, int> sightings that bear on a kind at a site, or on a year of a site */
    private array $bearing = [];
    /** @var array<string, int> variable shared by kinds → place in the border */
    private array $shared = [];
    /** @var array<string, array{names: array<string, int>, cholesky: Cholesky, border: array<int, array<int, float>>, means: list<float>}> by kind */
    private array $kinds = [];
    private Cholesky $border;
    /** @var list<float> */
    private array $sharedMeans = [];
    /** @var array<string, Phenology> */
    private array $phenology = [];

    /**
     * @param array<string, Place> $sites     by id
     * @param list<Sighting>       $sightings of any of these sites; of others they teach nothing here
     * @param array<string, Warmth> $warmth   by id of the site, where temperatures are known
     */
    public function __construct(
        private readonly Flora $flora,
        array $sites,
        array $sightings,
        private readonly Spread $spread = new Spread(),
        private readonly array $warmth = [],
    ) {
        foreach ($sites as $id => $place) {
            $this->phenology[$id] = Phenology::at($flora, $place);
        }
        $this->learn($this->rows($sightings));
    }

    /**
     * When an event of a kind is expected at a site in a year; none where the kind does not show it there.
     *
     * @param string $tree id of the tree; empty: of any tree of the kind
     */
    public function event(string $kind, SeasonalEvent $event, string $site, string $tree, int $year): ?ExpectedDay
    {
        $base = $this->base($kind, $event, $site, $year);
        if (null === $base) {
            return null;
        }
        $known = $this->seen["$tree $event->value ".$base->format('Y')] ?? null;
        if (null !== $known) {
            return new ExpectedDay($known['day'], 1.0);
        }
        [$days, $variance] = $this->deviation($kind, $event, $site, $tree, (int) $base->format('Y'));

        return new ExpectedDay(self::moved($base, $days), sqrt($variance));
    }

    /** The window of a part at a site that begins in a year; none where it may not be taken, or does not come about. */
    public function window(Taxon $taxon, Part $part, string $site, string $tree, int $year): ?ExpectedWindow
    {
        $window = $this->at($site)?->window($part);

        return null === $window ? null : $this->of($taxon, $part->timing?->follows, $window, $site, $tree, $year);
    }

    /** When the kind shows a phenophase at a site, beginning in a year; none if never. */
    public function stretch(Taxon $taxon, Phenophase $phase, string $site, string $tree, int $year): ?ExpectedWindow
    {
        $window = $this->at($site)?->stretch($taxon, $phase);

        return null === $window ? null : $this->of($taxon, $phase, $window, $site, $tree, $year);
    }

    /**
     * How many days later than usual the spring of a year is at a site, as far as can be told.
     *
     * @return array{float, float} days, and their standard deviation
     */
    public function springOf(string $site, int $year): array
    {
        [$days, $variance] = $this->combined('', [], ["year $site $year warm" => 1.0]);

        return [$days, sqrt($variance)];
    }

    /**
     * The calendar date nearest to a sighting on which its event is expected; none if the kind never shows it there.
     */
    public function expectedNear(Sighting $sighting): ?\DateTimeImmutable
    {
        $nearest = null;
        $year = (int) $sighting->day->format('Y');
        foreach ([$year, $year - 1, $year + 1] as $candidate) {
            if (null !== $nearest && abs(CalendarDay::between($nearest, $sighting->day)) < self::NO_NEARER) {
                break;
            }
            $base = $this->base($sighting->kind, $sighting->event, $sighting->site, $candidate);
            if (
                null !== $base
                && (null === $nearest
                    || abs(CalendarDay::between($base, $sighting->day)) <
                        abs(CalendarDay::between($nearest, $sighting->day)))
            ) {
                $nearest = $base;
            }
        }

        return $nearest;
    }

    private function at(string $site): ?Phenology
    {
        $phenology = $this->phenology[$site] ?? null;

        return null !== $phenology && $phenology->shift->holds() ? $phenology : null;
    }

    /**
     * The day on which the flora, moved to the site, expects an event: by warmth where it is known, else by Hopkins.
     */
    private function base(string $kind, SeasonalEvent $event, string $site, int $year): ?\DateTimeImmutable
    {
        $taxon = $this->flora->taxa[$kind] ?? null;
        $stretch = null === $taxon ? null : $this->at($site)?->stretch($taxon, $event->phase());
        if (null === $taxon || null === $stretch) {
            return null;
        }
        $warmth = $event->waitsForWarmth() ? $this->warmth[$site] ?? null : null;
        $there = null === $warmth ? null : $taxon->calendar->window($event->phase());

        return null === $warmth || null === $there
            ? self::dated(self::anchor($stretch, $event), $year)
            : $warmth->day(self::anchor($there, $event), $year);
    }

    private static function anchor(Window $stretch, SeasonalEvent $event): DayOfYear
    {
        return $stretch->from->plus((int) round($event->share() * ($stretch->days() - 1)));
    }

    private function of(
        Taxon $taxon,
        ?Phenophase $phase,
        Window $window,
        string $site,
        string $tree,
        int $year,
    ): ExpectedWindow {
        $from = self::dated($window->from, $year);
        $to = $from->modify('+'.($window->days() - 1).' days');
        if (null === $phase || 365 === $window->days()) {
            return new ExpectedWindow(new ExpectedDay($from, 0.0), new ExpectedDay($to, 0.0), 0, true);
        }
        [$first, $last] = SeasonalEvent::boundsOf($phase);
        $begins = $this->bound($taxon, $first, $from, $site, $tree);
        $ends = $this->bound($taxon, $last, $to, $site, $tree);
        if ($ends->likely < $begins->likely) {
            $ends = new ExpectedDay($begins->likely, $ends->spread);
        }

        return new ExpectedWindow(
            $begins,
            $ends,
            ($this->bearing["kind $taxon->id $site"] ?? 0) +
                ($this->bearing['year '.$site.' '.$begins->likely->format('Y')] ?? 0),
        );
    }

    /** An end of a window moves as far as the event it goes with. */
    private function bound(
        Taxon $taxon,
        SeasonalEvent $event,
        \DateTimeImmutable $day,
        string $site,
        string $tree,
    ): ExpectedDay {
        $plain = $this->plainNear($taxon, $event, $day, $site);
        $expected = null === $plain ? null : $this->event($taxon->id, $event, $site, $tree, (int) $plain->format('Y'));
        if (null === $plain || null === $expected) {
            return new ExpectedDay($day, $this->spread->kind + $this->spread->year);
        }

        return new ExpectedDay(
            $day->modify(\sprintf('%+d days', CalendarDay::between($plain, $expected->likely))),
            $expected->spread,
        );
    }

    /** The day nearest to another on which the flora expects an event, whatever the year is like. */
    private function plainNear(
        Taxon $taxon,
        SeasonalEvent $event,
        \DateTimeImmutable $day,
        string $site,
    ): ?\DateTimeImmutable {
        $stretch = $this->at($site)?->stretch($taxon, $event->phase());
        if (null === $stretch) {
            return null;
        }
        $anchor = self::anchor($stretch, $event);
        $year = (int) $day->format('Y');
        $dates = array_map(static fn (int $y): \DateTimeImmutable => self::dated($anchor, $y), [
            $year - 1,
            $year,
            $year + 1,
        ]);
        usort(
            $dates,
            static fn (\DateTimeImmutable $a, \DateTimeImmutable $b): int => abs(CalendarDay::between($a, $day)) <=>
                abs(CalendarDay::between($b, $day)),
        );

        return $dates[0];
    }

    /**
     * @param list<Sighting> $sightings
     *
     * @return list<array{Sighting, int, float}> one of each tree, event and year: the sighting, the year, days late
     */
    private function rows(array $sightings): array
    {
        $rows = [];
        usort($sightings, static fn (Sighting $a, Sighting $b): int => $a->day <=> $b->day);
        foreach ($sightings as $sighting) {
            $base = $this->expectedNear($sighting);
            $late = null === $base ? 0 : CalendarDay::between($base, $sighting->day);
            if (null === $base || abs($late) > self::FARTHEST_DAYS) {
                continue;
            }
            $year = (int) $base->format('Y');
            $key = $sighting->tree.' '.$sighting->event->value.' '.$year;
            if (isset($this->seen[$key])) {
                ++$this->seen[$key]['count']; // whoever saw it first counts
                continue;
            }
            $this->seen[$key] = ['day' => $sighting->day, 'count' => 1];
            foreach (["kind $sighting->kind $sighting->site", "year $sighting->site $year"] as $bearing) {
                $this->bearing[$bearing] = ($this->bearing[$bearing] ?? 0) + 1;
            }
            $rows[] = [$sighting, $year, (float) $late];
        }

        return $rows;
    }

    /**
     * What a date is made of.
     *
     * @return array{array<string, float>, array<string, float>} of its kind, and shared with others: variable → weight
     */
    private static function made(SeasonalEvent $event, string $site, string $tree, int $year): array
    {
        $with = $event->waitsForWarmth() ? 'warm' : 'cold';

        return [
            ['phase '.$event->phase()->value => 1.0, 'event '.$event->value => 1.0] +
            ('' === $tree ? [] : ["tree $tree $with" => 1.0]),
            ["site $site $with" => 1.0, "year $site $year $with" => $event->yearShare()],
        ];
    }

    private function variance(string $variable): float
    {
        $days = match (strstr($variable, ' ', true)) {
            'phase' => $this->spread->kind,
            'event' => $this->spread->event,
            'tree' => $this->spread->tree,
            'site' => $this->spread->site,
            // where the warmth of the year is known, less is left to guess
            default => isset($this->warmth[explode(' ', $variable)[1]]) && str_ends_with($variable, 'warm')
                ? $this->spread->year / 2
                : $this->spread->year,
        };

        return $days ** 2;
    }

    /** @param list<array{Sighting, int, float}> $rows */
    private function learn(array $rows): void
    {
        $rest = $this->spread->rest ** 2;
        $byKind = [];
        foreach ($rows as [$sighting, $year, $late]) {
            [$own, $shared] = self::made($sighting->event, $sighting->site, $sighting->tree, $year);
            foreach (array_keys($shared) as $name) {
                $this->shared[$name] ??= \count($this->shared);
            }
            $byKind[$sighting->kind][] = [$own, $shared, $late];
        }
        $size = \count($this->shared);
        $core = array_fill(0, $size, array_fill(0, $size, 0.0));
        $right = array_fill(0, $size, 0.0);
        foreach ($this->shared as $name => $i) {
            $core[$i][$i] = 1 / $this->variance($name);
        }
        $halves = [];
        foreach ($byKind as $kind => $of) {
            [$names, $matrix, $border, $own] = $this->block($of, $size, $rest, $core, $right);
            $cholesky = Cholesky::of($matrix);
            // what the kind says of sites and years, with itself left open
            $columns = [];
            for ($j = 0; $j < $size; ++$j) {
                $columns[$j] = $cholesky->forward(array_column($border, $j));
            }
            $z = $cholesky->forward($own);
            for ($i = 0; $i < $size; ++$i) {
                $right[$i] -= self::dot($columns[$i], $z);
                for ($j = 0; $j <= $i; ++$j) {
                    $core[$i][$j] -= self::dot($columns[$i], $columns[$j]);
                }
            }
            $halves[$kind] = [$names, $cholesky, $border, $own];
        }
        $this->border = Cholesky::of($core);
        $this->sharedMeans = $this->border->solve($right);
        foreach ($halves as $kind => [$names, $cholesky, $border, $own]) {
            foreach ($border as $i => $row) {
                $own[$i] -= self::dot($row, $this->sharedMeans);
            }
            $this->kinds[$kind] = [
                'names' => $names,
                'cholesky' => $cholesky,
                'border' => $border,
                'means' => $cholesky->solve($own),
            ];
        }
    }

    /**
     * @param list<array{array<string, float>, array<string, float>, float}> $rows  of one kind
     * @param array<int, array<int, float>>                                              $core  of sites and years: grows by them
     * @param array<int, float>                                                    $right of those
     *
     * @return array{array<string, int>, array<int, array<int, float>>, array<int, array<int, float>>, list<float>} names, precision, with
     *     sites and years, right side
     */
    private function block(array $rows, int $size, float $rest, array &$core, array &$right): array
    {
        $names = [];
        foreach ($rows as [$own]) {
            foreach (array_keys($own) as $name) {
                $names[$name] ??= \count($names);
            }
        }
        $count = \count($names);
        $matrix = array_fill(0, $count, array_fill(0, $count, 0.0));
        $border = array_fill(0, $count, array_fill(0, $size, 0.0));
        $sum = array_fill(0, $count, 0.0);
        foreach ($names as $name => $i) {
            $matrix[$i][$i] = 1 / $this->variance($name);
        }
        foreach ($rows as [$own, $shared, $late]) {
            foreach ($own as $a => $x) {
                $i = $names[$a];
                $sum[$i] += ($x * $late) / $rest;
                foreach ($own as $b => $y) {
                    $matrix[$i][$names[$b]] += ($x * $y) / $rest;
                }
                foreach ($shared as $b => $y) {
                    $border[$i][$this->shared[$b]] += ($x * $y) / $rest;
                }
            }
            foreach ($shared as $a => $x) {
                $i = $this->shared[$a];
                $right[$i] += ($x * $late) / $rest;
                foreach ($shared as $b => $y) {
                    $core[$i][$this->shared[$b]] += ($x * $y) / $rest;
                }
            }
        }

        return [$names, $matrix, $border, array_values($sum)];
    }

    /** @return array{float, float} days late, and the variance of one date */
    private function deviation(string $kind, SeasonalEvent $event, string $site, string $tree, int $year): array
    {
        [$own, $shared] = self::made($event, $site, '' === $tree ? 'any' : $tree, $year);
        [$mean, $variance] = $this->combined($kind, $own, $shared);

        return [$mean, $variance + $this->spread->rest ** 2];
    }

    /**
     * Mean and variance of a sum of variables. What nobody has seen anything of keeps its spread.
     *
     * @param array<string, float> $own
     * @param array<string, float> $shared
     *
     * @return array{float, float}
     */
    private function combined(string $kind, array $own, array $shared): array
    {
        $known = $this->kinds[$kind] ?? null;
        $mean = $variance = 0.0;
        $weights = array_fill(0, \count($this->shared), 0.0);
        $inside = array_fill(0, \count($known['names'] ?? []), 0.0);
        foreach ($own as $name => $weight) {
            $i = $known['names'][$name] ?? null;
            if (null === $known || null === $i) {
                $variance += $weight ** 2 * $this->variance($name);
            } else {
                $inside[$i] = $weight;
                $mean += $weight * $known['means'][$i];
            }
        }
        foreach ($shared as $name => $weight) {
            $i = $this->shared[$name] ?? null;
            if (null === $i) {
                $variance += $weight ** 2 * $this->variance($name);
            } else {
                $weights[$i] += $weight;
                $mean += $weight * $this->sharedMeans[$i];
            }
        }
        if (null !== $known && [] !== $inside) {
            $solved = $known['cholesky']->solve($inside);
            $variance += self::dot($inside, $solved);
            foreach ($known['border'] as $i => $row) {
                foreach ($row as $j => $x) {
                    $weights[$j] -= $x * $solved[$i];
                }
            }
        }
        $half = $this->border->forward($weights);

        return [$mean, $variance + self::dot($half, $half)];
    }

    /**
     * @param array<int, float> $a
     * @param array<int, float> $b
     */
    private static function dot(array $a, array $b): float
    {
        $sum = 0.0;
        foreach ($a as $i => $x) {
            $sum += $x * $b[$i];
        }

        return $sum;
    }

    private static function dated(DayOfYear $day, int $year): \DateTimeImmutable
    {
        return CalendarDay::parse(\sprintf('%04d-%s', $year, $day));
    }

    private static function moved(\DateTimeImmutable $day, float $days): \DateTimeImmutable
    {
        return $day->modify(\sprintf('%+d days', (int) round($days)));
    }
}
