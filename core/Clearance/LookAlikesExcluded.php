<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Flora\StatedNever;
use Hylognosis\Identification\Contrast;
use Hylognosis\Identification\Danger;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Reason\Reason;

/**
 * Point 3. Every dangerous taxon of the flora, listed as a look-alike or not, is excluded: something was seen for sure,
 * on the tree, that it is stated never to show, in at least two organs.
 */
final readonly class LookAlikesExcluded implements Point
{
    private const MOSTLY = 0.5;

    public function judge(Dossier $dossier): PointReport
    {
        $open = $dossier->openDangers();
        $items = array_map($this->item(...), $dossier->dangers);

        return [] === $open
            ? new PointReport(
                'look-alikes-excluded',
                PointStatus::Met,
                new Reason('all-excluded', ['all' => \count($items)] + $this->leansOn($dossier)),
                null,
                $items,
            )
            : new PointReport(
                'look-alikes-excluded',
                PointStatus::Open,
                new Reason('could-still-be', [
                    'taxa' => array_map(static fn (Danger $danger): string => $danger->taxon->id, $open),
                ]),
                new Reason('see-what-it-never-shows'),
                $items,
                $this->firstDay($dossier, $open),
            );
    }

    /**
     * @return array{lines: int, unread: int} on how many stated nevers the exclusions lean, and how many of those
     *     nobody has read but their author
     */
    private function leansOn(Dossier $dossier): array
    {
        $lines = $unread = [];
        foreach ($dossier->dangers as $danger) {
            foreach (array_merge(...array_values($danger->contradictions)) as $line) {
                $lines[$danger->taxon->id.'/'.$line->id] = true;
                if (0 === $line->agreements()) {
                    $unread[$danger->taxon->id.'/'.$line->id] = true;
                }
            }
        }

        return ['lines' => \count($lines), 'unread' => \count($unread)];
    }

    /**
     * The day by which each open danger can be spoken against by something the claimed taxon shows then; null where all
     * can today.
     *
     * @param list<Danger> $open
     */
    private function firstDay(Dossier $dossier, array $open): ?DayOfYear
    {
        $today = $dossier->examinedOn();
        $compiled = $dossier->identification->compiled;
        $contrast = Contrast::of($compiled, $dossier->claim->taxon->id);
        $waits = $dossier->phenology->waits($dossier->claim->taxon, $today);
        $longest = 0;
        foreach ($open as $danger) {
            $number = $compiled->numbers[$danger->taxon->id];
            $steps = $danger->steps();
            $soonest = null;
            foreach ($compiled->nevers[$number] as $id => $_) {
                $character = $compiled->characters[$id];
                if (
                    0.0 === ($steps[$id] ?? $steps[$character->character->organ->value])
                    || $contrast->against($id, $number) <= self::MOSTLY
                ) {
                    continue;
                }
                foreach ($character->character->sight->phenophases as $phase) {
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

    private function item(Danger $danger): PointItem
    {
        $lines = array_merge(...array_values($danger->contradictions));

        return new PointItem(
            Subject::Taxon,
            $danger->taxon->id,
            $danger->isExcluded() ? PointStatus::Met : PointStatus::Open,
            new Reason(
                match (true) {
                    $danger->isExcluded() => 'excluded-by',
                    [] === $danger->contradictions => 'nothing-against-it',
                    default => 'one-more-organ',
                },
                [
                    'taxon' => $danger->taxon->id,
                    'characters' => array_keys($danger->contradictions),
                    'lines' => array_values(
                        array_unique(array_map(static fn (StatedNever $line): string => $line->id, $lines)),
                    ),
                    'read' => [] === $lines
                            ? 0
                            : min(array_map(static fn (StatedNever $line): int => $line->agreements(), $lines)),
                ],
            ),
        );
    }
}
