<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Identification\Danger;

/**
 * Point 3. Every dangerous taxon of the flora, listed as a look-alike or not, is excluded: something was seen
 * for sure, on the tree, that it never shows, in at least two organs.
 */
final readonly class LookAlikesExcluded implements Point
{
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
            $items,
        );
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
