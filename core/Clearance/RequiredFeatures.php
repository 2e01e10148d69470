<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Examination\Finding;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Reading;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\RequiredFeature;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Reason\Reason;

/**
 * Point 1. Every feature the flora requires for this taxon and part was scored sure, on the tree, at a time when it can
 * be seen, with an accepted value, and nothing but what may stand beside it, on at least its number of samples in one
 * look.
 */
final readonly class RequiredFeatures implements Point
{
    public function judge(Dossier $dossier): PointReport
    {
        $items = array_map(
            fn (RequiredFeature $feature): PointItem => $this->item($dossier, $feature),
            $dossier->claim->part->required,
        );
        $met = \count(array_filter($items, static fn (PointItem $item): bool => PointStatus::Met === $item->status));
        $status = PointReport::worst($items);

        return new PointReport(
            'required-features',
            $status,
            new Reason('features-met', ['met' => $met, 'all' => \count($items)]),
            match ($status) {
                PointStatus::Met => null,
                PointStatus::Open => new Reason('score-the-open-ones'),
                PointStatus::Broken => new Reason('a-feature-is-otherwise'),
            },
            $items,
            $this->firstDay($dossier),
        );
    }

    /** @return list<RequiredFeature> */
    public function open(Dossier $dossier): array
    {
        return array_values(
            array_filter(
                $dossier->claim->part->required,
                fn (RequiredFeature $feature): bool => PointStatus::Met !== $this->item($dossier, $feature)->status,
            ),
        );
    }

    /** The day by which every open feature will have been in sight once; null where all are in sight today. */
    private function firstDay(Dossier $dossier): ?DayOfYear
    {
        $wait = 0;
        foreach ($this->open($dossier) as $feature) {
            $next = $this->nextShowing($dossier, $dossier->flora()->character($feature->character));
            $wait = max($wait, null === $next ? 0 : $dossier->examinedOn()->until($next));
        }

        return 0 === $wait ? null : $dossier->examinedOn()->plus($wait);
    }

    private function item(Dossier $dossier, RequiredFeature $feature): PointItem
    {
        $id = $feature->character;
        $finding = $dossier->examination()->finding($id);
        $wanted = [
            'states' => $feature->states,
            'range' => null === $feature->range ? null : (string) $feature->range,
            'needed' => $feature->samples,
            'beside' => $feature->beside,
        ];
        if (null === $finding) {
            $next = $this->nextShowing($dossier, $dossier->flora()->character($id));

            return PointItem::ofCharacter(
                $id,
                PointStatus::Open,
                'not-scored',
                $wanted + [
                    'from' => match (true) {
                        null === $next => '',
                        $next->number === $dossier->examinedOn()->number => null,
                        default => (string) $next,
                    },
                ],
            );
        }
        if ($finding->disagrees) {
            return PointItem::ofCharacter($id, PointStatus::Open, 'disagree');
        }
        if ($finding->isNotApplicable()) {
            return PointItem::ofCharacter($id, PointStatus::Broken, 'does-not-apply', $wanted);
        }
        if (!$dossier->canBeSeen($finding->character)) {
            return PointItem::ofCharacter($id, PointStatus::Open, 'out-of-season', $wanted);
        }
        $deciding = array_map(static fn (Reading $reading): array => $reading->oneOf, $finding->decidingReadings());
        if ([] !== $deciding && !$feature->isMetBy($deciding)) {
            return $this->unripe($dossier, $finding)
                ? PointItem::ofCharacter($id, PointStatus::Open, 'unripe', $wanted)
                : PointItem::ofCharacter(
                    $id,
                    $this->isOnlyBeside($feature, $finding) ? PointStatus::Open : PointStatus::Broken,
                    'seen-otherwise',
                    $wanted + ['values' => $finding->values()],
                );
        }
        $samples = $this->samples($feature, $finding);

        return match (true) {
            $samples >= $feature->samples => PointItem::ofCharacter($id, PointStatus::Met, 'feature-met', [
                'values' => $finding->values(),
                'samples' => $samples,
            ]),
            $samples > 0 => PointItem::ofCharacter(
                $id,
                PointStatus::Open,
                'too-few',
                ['samples' => $samples] + $wanted,
            ),
            $finding->isLitter() => PointItem::ofCharacter($id, PointStatus::Open, 'litter-only'),
            default => PointItem::ofCharacter($id, PointStatus::Open, 'not-sure'),
        };
    }

    /** The most samples that one look of itself saw the accepted value on: the same twig scored twice is one twig. */
    private function samples(RequiredFeature $feature, Finding $finding): int
    {
        $meeting = array_filter(
            $finding->decidingObservations(),
            static fn (Observation $o): bool => $feature->isMetBy(
                array_map(static fn (Reading $reading): array => $reading->oneOf, $o->readings()),
            ),
        );

        return max([0, ...array_map(static fn (Observation $o): int => $o->samples, $meeting)]);
    }

    /**
     * Nothing was seen but what may stand beside an accepted value: that one may still turn up. Or one of several, and
     * it could be the accepted one.
     */
    private function isOnlyBeside(RequiredFeature $feature, Finding $finding): bool
    {
        foreach ($finding->decidingReadings() as $reading) {
            $possible = array_filter(
                $reading->oneOf,
                static fn (string|float $value): bool => $feature->accepts($value)
                    || \in_array($value, $feature->beside, true),
            );
            if ([] === $possible) {
                return false;
            }
        }

        return true;
    }

    /** Whether all that was seen is what the claimed taxon shows on the way to ripeness. */
    private function unripe(Dossier $dossier, Finding $finding): bool
    {
        $compiled = $dossier->identification->compiled;
        foreach ($finding->decidingReadings() as $reading) {
            if (
                !$finding->character->variation->ripens
                || $compiled->isUnusual($dossier->claimed(), $finding->character, $reading)
                || [] !== $compiled->forbidding($dossier->claimed(), $finding->character, $reading)
            ) {
                return false;
            }
        }

        return true;
    }

    private function nextShowing(Dossier $dossier, Character $character): ?DayOfYear
    {
        return $dossier->phenology->nextShowing($dossier->claim->taxon, $character, $dossier->examinedOn());
    }
}
