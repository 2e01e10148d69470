<?php

declare(strict_types=1);

namespace App\Hazards;

use App\Hazards\View\HazardView;
use App\Trees\TreeDanger;
use Hylognosis\Flora\Hazard;
use Hylognosis\Flora\Severity;
use Hylognosis\Flora\Taxon;

/** What trees can do to people, whatever of them they can be. */
final class PeopleHazards
{
    /**
     * @param list<Taxon> $kinds
     *
     * @return list<HazardView> the worst first
     */
    public static function of(array $kinds): array
    {
        $hazards = [];
        foreach ($kinds as $taxon) {
            foreach ($taxon->hazards as $h) {
                if ('people' === $h->who && $h->severity->isHazard()) {
                    $hazards[$h->part.'|'.$h->way.'|'.$h->severity->value] = self::view($h);
                }
            }
        }
        usort($hazards, static fn (HazardView $a, HazardView $b): int => $b->severity->rank() <=> $a->severity->rank());

        return $hazards;
    }

    /** @param list<Taxon> $kinds none: nobody knows */
    public static function danger(array $kinds, string $doubt): TreeDanger
    {
        $worst = Severity::Harmless;
        foreach ($kinds as $taxon) {
            $worst = Severity::worse($worst, $taxon->severity());
        }

        return match (true) {
            '' !== $doubt => TreeDanger::Doubted,
            [] === $kinds => TreeDanger::Unknown,
            default => TreeDanger::of($worst),
        };
    }

    /** @return int 0 for what is told first */
    public static function place(TreeDanger $danger): int
    {
        return match ($danger) {
            TreeDanger::Deadly => 0,
            TreeDanger::Unknown, TreeDanger::Doubted => 1,
            TreeDanger::Serious => 2,
            TreeDanger::Mild => 3,
            TreeDanger::Harmless => 4,
        };
    }

    private static function view(Hazard $h): HazardView
    {
        return new HazardView($h->part, $h->who, $h->way, $h->severity, $h->note);
    }
}
