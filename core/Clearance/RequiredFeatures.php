<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Examination\Finding;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\RequiredFeature;
use Hylognosis\Measure\DayOfYear;

/**
 * Point 1. Every feature the flora requires for this taxon and part was scored sure, on the tree, with an
 * accepted value, and nothing but what may stand beside it, on at least its number of samples.
 */
final readonly class RequiredFeatures implements Point
{
    public function judge(Dossier $dossier): PointReport
    {
        $items = array_map(fn (RequiredFeature $feature): PointItem => $this->item($dossier, $feature), $dossier->claim->part->required);
        $met = \count(array_filter($items, static fn (PointItem $item): bool => PointStatus::Met === $item->status));
        $status = PointReport::worst($items);

        return new PointReport('required-features', 'Required features', $status, \sprintf('%d of %d required features are met.', $met, \count($items)), match ($status) {
            PointStatus::Met => '',
            PointStatus::Open => 'Score the open ones, sure, on the tree.',
            PointStatus::Broken => 'A required feature was seen to be otherwise. Look again at it; if it stays so, this is not the tree.',
        }, $items, $this->firstDay($dossier));
    }

    /** The day by which every open feature will have been in sight once; null where all are in sight today. */
    private function firstDay(Dossier $dossier): ?DayOfYear
    {
        $today = DayOfYear::on($dossier->examination()->date);
        $wait = 0;
        foreach ($this->open($dossier) as $feature) {
            $next = $dossier->phenology->nextShowing($dossier->claim->taxon, $dossier->flora()->character($feature->character), $today);
            $wait = max($wait, null === $next ? 0 : $today->until($next));
        }

        return 0 === $wait ? null : $today->plus($wait);
    }

    /** @return list<RequiredFeature> */
    public function open(Dossier $dossier): array
    {
        return array_values(array_filter(
            $dossier->claim->part->required,
            fn (RequiredFeature $feature): bool => PointStatus::Met !== $this->item($dossier, $feature)->status,
        ));
    }

    private function item(Dossier $dossier, RequiredFeature $feature): PointItem
    {
        $character = $dossier->flora()->character($feature->character);
        $finding = $dossier->examination()->finding($feature->character);
        $wanted = $this->wanted($character, $feature);
        if (null === $finding || [] === $finding->values()) {
            return new PointItem($character->id, $character->label, PointStatus::Open, $wanted.$this->whenToSee($dossier, $character));
        }
        if ($finding->disagrees) {
            return new PointItem($character->id, $character->label, PointStatus::Open, 'Two scores disagree; a further look settles it.');
        }
        if ([] !== $finding->decidingValues() && !$feature->isMetBy($finding->decidingValues())) {
            return $this->unripe($dossier, $finding)
                ? new PointItem($character->id, $character->label, PointStatus::Open, $wanted.' Seen otherwise: it may not be ripe yet.')
                : new PointItem($character->id, $character->label, PointStatus::Broken, $wanted.' Seen otherwise.');
        }

        return match (true) {
            $finding->decidingSamples() >= $feature->samples => new PointItem($character->id, $character->label, PointStatus::Met, $this->seen($character, $finding)),
            $finding->decidingSamples() > 0 => new PointItem($character->id, $character->label, PointStatus::Open, \sprintf('Seen on %d; at least %d are needed.', $finding->decidingSamples(), $feature->samples)),
            $finding->isLitter() => new PointItem($character->id, $character->label, PointStatus::Open, 'Seen on the ground only; it has to be seen on the tree.'),
            default => new PointItem($character->id, $character->label, PointStatus::Open, 'Scored, but not sure. Look again.'),
        };
    }

    /** Whether all that was seen is what the claimed taxon shows on the way to ripeness. */
    private function unripe(Dossier $dossier, Finding $finding): bool
    {
        $compiled = $dossier->identification->compiled;
        $own = $compiled->numbers[$dossier->claim->taxon->id];
        foreach ($finding->decidingReadings() as $reading) {
            if (!$finding->character->ripens || $compiled->rulesOut($own, $finding->character, $reading)) {
                return false;
            }
        }

        return true;
    }

    private function wanted(Character $character, RequiredFeature $feature): string
    {
        $labels = array_map(static fn (string $id): string => $character->state($id)->label, $feature->states);
        $value = null === $feature->range ? implode(' or ', $labels) : trim($feature->range.' '.$character->unit);

        $beside = array_map(static fn (string $id): string => $character->state($id)->label, $feature->beside);

        return \sprintf(
            'Must be: %s%s%s.', $value, $feature->samples > 1 ? \sprintf(', on %d or more', $feature->samples) : '',
            [] === $beside ? '' : '; '.implode(' or ', $beside).' may be seen beside it',
        );
    }

    private function seen(Character $character, Finding $finding): string
    {
        $values = array_map(static fn (string|float $v): string => \is_string($v) ? $character->state($v)->label : (string) $v, array_unique($finding->decidingValues()));

        return ucfirst(trim(implode(', ', $values).' '.$character->unit)).', on '.$finding->decidingSamples().'.';
    }

    private function whenToSee(Dossier $dossier, Character $character): string
    {
        $today = DayOfYear::on($dossier->examination()->date);
        $next = $dossier->phenology->nextShowing($dossier->claim->taxon, $character, $today);

        return match (true) {
            null === $next => ' The flora does not say when it can be seen.',
            $next->number === $today->number => '',
            default => ' It can be seen from about '.$next->words().'.',
        };
    }
}
