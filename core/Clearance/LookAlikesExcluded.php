<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Identification\Contrast;
use Hylognosis\Identification\Danger;
use Hylognosis\Measure\DayOfYear;

/**
 * Point 3. Every dangerous taxon of the flora, listed as a look-alike or not, is excluded: something was seen
 * for sure, on the tree, that it never shows, in at least two organs.
 */
final readonly class LookAlikesExcluded implements Point
{
    private const MOSTLY = 0.5;

    public function judge(Dossier $dossier): PointReport
    {
        $open = $dossier->openDangers();
        $items = array_map(fn (Danger $danger): PointItem => $this->item($dossier, $danger), $dossier->dangers);
        if ([] === $open) {
            return new PointReport('look-alikes-excluded', 'Look-alikes excluded', PointStatus::Met, \sprintf('All %d dangerous kinds of this flora are excluded.', \count($items)), '', $items);
        }

        return new PointReport(
            'look-alikes-excluded', 'Look-alikes excluded', PointStatus::Open,
            \sprintf('It could still be: %s.', implode(', ', array_map(static fn (Danger $danger): string => $danger->taxon->commonName(), $open))),
            'For each, see something it never shows, in two organs.',
            $items, $this->firstDay($dossier, $open),
        );
    }

    /**
     * The day by which each open danger can be spoken against by something the claimed taxon shows then; null where all
     * can today.
     *
     * @param list<Danger> $open
     */
    private function firstDay(Dossier $dossier, array $open): ?DayOfYear
    {
        $today = DayOfYear::on($dossier->examination()->date);
        $compiled = $dossier->identification->compiled;
        $contrast = Contrast::of($compiled, $dossier->claim->taxon->id);
        $waits = $dossier->phenology->waits($dossier->claim->taxon, $today);
        $longest = 0;
        foreach ($open as $danger) {
            $number = $compiled->numbers[$danger->taxon->id];
            $steps = $danger->steps();
            $soonest = null;
            foreach ($compiled->characters as $id => $character) {
                if (0.0 === $steps[$character->character->organ->value] || $contrast->against($id, $number) <= self::MOSTLY) {
                    continue;
                }
                foreach ($character->character->phenophases as $phase) {
                    $wait = $waits[$phase->value] ?? null;
                    $soonest = null === $wait || (null !== $soonest && $soonest <= $wait) ? $soonest : $wait;
                }
                if (0 === $soonest) {
                    break;
                }
            }
            $longest = max($longest, $soonest ?? 0);
        }

        return 0 === $longest ? null : $today->plus($longest);
    }

    private function item(Dossier $dossier, Danger $danger): PointItem
    {
        $labels = array_map(static fn (string $id): string => $dossier->flora()->character($id)->label, $danger->contradictions);

        return new PointItem($danger->taxon->id, $danger->taxon->commonName(), $danger->isExcluded() ? PointStatus::Met : PointStatus::Open, match (true) {
            $danger->isExcluded() => 'Excluded by '.implode(', ', $labels).'.',
            [] === $labels => 'Nothing seen yet speaks against it.',
            default => 'One more organ is needed; so far: '.implode(', ', $labels).'.',
        });
    }
}
