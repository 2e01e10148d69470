<?php

declare(strict_types=1);

namespace App\Season;

use App\Clock\SchoolClock;
use App\Season\View\PartWindowView;
use App\Season\View\PlaceWindowsView;
use App\Season\View\WindowView;
use App\Trees\SiteRepository;
use App\Trees\SpecimenRepository;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Taxon;
use Hylognosis\Season\PartYear;
use Hylognosis\Season\Phenology;

/** When a kind may be taken at the school's places, as its own dates and its weather have it. */
final readonly class KindAtPlaces
{
    /** Of more places only those are told where the kind stands. */
    private const MOST = 12;

    public function __construct(
        private SiteRepository $sites,
        private SpecimenRepository $specimens,
        private LearnedSeasons $seasons,
        private SchoolClock $clock,
    ) {
    }

    /** @return list<PlaceWindowsView> those where it stands first, then by name */
    public function of(Flora $flora, Taxon $taxon): array
    {
        $tags = [];
        foreach ($this->specimens->held($flora->name) as $tree) {
            if ($tree->kind === $taxon->id) {
                $tags[$tree->site->id][] = $tree->tag;
            }
        }
        $today = $this->clock->today();
        $places = [];
        $all = $this->sites->findBy([], ['name' => 'ASC']);
        foreach ($all as $site) {
            if (\count($all) > self::MOST && !isset($tags[$site->id])) {
                continue;
            }
            $phenology = Phenology::at($flora, $site->place());
            $parts = [];
            foreach ($phenology->shift->holds() ? $taxon->parts : [] as $part) {
                if (null === $part->timing) {
                    continue;
                }
                $year = PartYear::of(
                    $flora,
                    $taxon,
                    $part,
                    $this->seasons->at($flora, $site),
                    $phenology,
                    $site->id,
                    '',
                    null,
                    $today,
                );
                $parts[] = new PartWindowView(
                    $part->id,
                    $part->label,
                    null === $year?->next ? null : WindowView::of($year->next),
                );
            }
            if ([] !== $parts) {
                $places[] = new PlaceWindowsView($site->id, $site->name, $tags[$site->id] ?? [], $parts);
            }
        }
        usort(
            $places,
            static fn (PlaceWindowsView $a, PlaceWindowsView $b): int => ([] === $a->trees) <=> ([] === $b->trees),
        );

        return \array_slice($places, 0, self::MOST);
    }
}
