<?php

declare(strict_types=1);

namespace App\Season;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Library\FloraLibrary;
use App\Season\View\WindowView;
use App\Season\View\YearRowView;
use App\Season\View\YearView;
use App\Trees\CoveredTrees;
use App\Trees\Site;
use App\Trees\SpecimenRepository;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Season\PartWeek;
use Hylognosis\Season\PartYear;
use Hylognosis\Season\Phenology;

/** The year of all that may be taken at a place. */
final readonly class YearOfPlace
{
    public function __construct(
        private FloraLibrary $library,
        private LearnedSeasons $seasons,
        private TreeEventRepository $events,
        private SpecimenRepository $specimens,
        private CoveredTrees $covered,
        private SchoolClock $clock,
    ) {
    }

    /** @param bool $all every kind of the reader's flora, and not only those of own trees there */
    public function of(Site $site, int $year, bool $all, User $reader): YearView
    {
        $flora = $this->library->flora($reader->flora);
        $years = $this->seasons->at($flora, $site);
        $phenology = Phenology::at($flora, $site->place());
        $trees = $this->trees($flora, $site, $reader);
        $today = $this->clock->today();
        $rows = [];
        foreach ($flora->taxa as $taxon) {
            if (!$all && !isset($trees[$taxon->id])) {
                continue;
            }
            foreach ($taxon->parts as $part) {
                $partYear = $phenology->shift->holds()
                    ? PartYear::of($flora, $taxon, $part, $years, $phenology, $site->id, '', $year, $today)
                    : null;
                if (null !== $partYear) {
                    $rows[] = self::row($flora, $taxon, $part, $trees[$taxon->id] ?? [], $partYear);
                }
            }
        }
        usort(
            $rows,
            static fn (YearRowView $a, YearRowView $b): int => [
                $a->next?->fixed,
                $a->next?->from->likely,
                $a->commonName,
            ] <=> [$b->next?->fixed, $b->next?->from->likely, $b->commonName],
        );
        [$late, $spread] = $years->springOf($site->id, $year);

        return new YearView(
            $year,
            $site->id,
            $site->name,
            $phenology->shift->holds(),
            round($late, 1),
            round($spread, 1),
            $this->events->countOf($site, $year),
            $site->station->value,
            $rows,
        );
    }

    /** @return array<string, list<string>> tags of trees by kind, without those the reader must not know */
    private function trees(Flora $flora, Site $site, User $reader): array
    {
        $hidden = $this->covered->for($reader);
        $trees = [];
        foreach ($this->specimens->held($flora->name, [$site->id]) as $tree) {
            if (!isset($hidden[$tree->id])) {
                $trees[$tree->kind][] = $tree->tag;
            }
        }

        return $trees;
    }

    /** @param list<string> $trees */
    private static function row(Flora $flora, Taxon $taxon, Part $part, array $trees, PartYear $year): YearRowView
    {
        $kit = [];
        foreach ($part->required as $feature) {
            $kit[$flora->character($feature->character)->sight->instrument->value] = true;
        }

        return new YearRowView(
            $taxon->id,
            $taxon->commonName(),
            $taxon->name,
            $part->id,
            $part->label,
            $part->uses,
            $part->handling->effort,
            array_keys($kit),
            $trees,
            array_map(static fn (PartWeek $week): int => (int) round(100 * $week->open), $year->weeks),
            implode(
                '',
                array_map(
                    static fn (PartWeek $week): string => $week->there ? 't' : ($week->fresh ? 'f' : '-'),
                    $year->weeks,
                ),
            ),
            null === $year->next ? null : WindowView::of($year->next),
            null === $year->lookFrom ? null : CalendarDay::iso($year->lookFrom),
            null === $year->lookBy ? null : CalendarDay::iso($year->lookBy),
            $year->onTheSpot,
        );
    }
}
