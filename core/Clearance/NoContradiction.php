<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Examination\Finding;
use Hylognosis\Examination\Reading;
use Hylognosis\Flora\StatedNever;
use Hylognosis\Identification\DescriptionError;
use Hylognosis\Reason\Reason;

/**
 * Point 2. Nothing was scored, however unsurely, that the claimed taxon is stated never to show, and no required
 * feature otherwise than accepted; no two scores of one character disagree; and no more unusual things were seen than
 * descriptions, which are never complete, would leave out of a right tree.
 */
final readonly class NoContradiction implements Point
{
    public function judge(Dossier $dossier): PointReport
    {
        [$items, $unusual] = [$this->contradictions($dossier), $this->unusual($dossier)];
        $looks = $this->describedLooks($dossier);
        $explained = DescriptionError::explains(\count($unusual), $looks);
        foreach ($unusual as $id => $values) {
            $items[] = PointItem::ofCharacter($id, $explained ? PointStatus::Met : PointStatus::Broken, 'unusual', [
                'taxon' => $dossier->claim->taxon->id,
                'values' => $values,
            ]);
        }
        $status = PointReport::worst($items);
        $about = ['taxon' => $dossier->claim->taxon->id, 'unusual' => \count($unusual), 'looks' => $looks];
        $broken = array_filter(
            $items,
            static fn (PointItem $item): bool => PointStatus::Broken === $item->status
                && 'unusual' !== $item->detail->code,
        );

        return new PointReport(
            'no-contradiction',
            $status,
            new Reason(
                match (true) {
                    [] !== $broken => 'contradicted',
                    PointStatus::Broken === $status => 'too-unusual',
                    PointStatus::Open === $status => 'scores-disagree',
                    [] !== $unusual => 'unusual-explained',
                    default => 'nothing-against',
                },
                $about,
            ),
            match ($status) {
                PointStatus::Met => null,
                PointStatus::Open => new Reason('look-again-at-disagreement'),
                PointStatus::Broken => new Reason('look-again-or-another-tree'),
            },
            $items,
        );
    }

    /** @return list<string> characters in which something was seen that speaks against the claimed taxon */
    public function broken(Dossier $dossier): array
    {
        return array_values(
            array_unique(
                array_map(
                    static fn (PointItem $item): string => $item->subject,
                    array_filter(
                        $this->judge($dossier)->items,
                        static fn (PointItem $item): bool => PointStatus::Broken === $item->status,
                    ),
                ),
            ),
        );
    }

    /** @return list<PointItem> */
    private function contradictions(Dossier $dossier): array
    {
        $items = [];
        $taxon = ['taxon' => $dossier->claim->taxon->id];
        foreach ($dossier->examination()->findings as $id => $finding) {
            if ($finding->disagrees) {
                $items[] = PointItem::ofCharacter($id, PointStatus::Open, 'disagree');
            }
            foreach ($finding->readings() as $reading) {
                $against = $this->against($dossier, $finding, $reading);
                if (null !== $against) {
                    $items[] = PointItem::ofCharacter(
                        $id,
                        PointStatus::Broken,
                        $against[0],
                        $taxon + ['values' => $reading->oneOf, 'lines' => $against[1]],
                    );
                    break;
                }
            }
        }
        foreach ($dossier->examination()->findings + $dossier->examination()->takenBack as $id => $finding) {
            foreach ($finding->unsettledTakenBack() as $reading) {
                if (
                    null !== $this->against($dossier, $finding, $reading)
                    || $this->isUnusual($dossier, $finding, $reading)
                ) {
                    $items[] = PointItem::ofCharacter(
                        $id,
                        PointStatus::Open,
                        'taken-back',
                        $taxon + ['values' => $reading->oneOf],
                    );
                    break;
                }
            }
        }

        return $items;
    }

    /**
     * @return array{string, list<string>}|null why the reading speaks against the claimed taxon, and the lines it
     *     contradicts
     */
    private function against(Dossier $dossier, Finding $finding, Reading $reading): ?array
    {
        $lines = $dossier->identification->compiled->forbidding($dossier->claimed(), $finding->character, $reading);
        if ([] !== $lines) {
            return ['never', array_map(static fn (StatedNever $line): string => $line->id, $lines)];
        }
        $feature = $dossier->claim->part->requires($finding->character->id);
        // One of several speaks against it only if none of them could be the accepted one.
        $otherwise =
            null !== $feature
            && !$finding->character->variation->ripens
            && [] ===
                array_filter(
                    $reading->oneOf,
                    static fn (string|float $value): bool => $feature->accepts($value)
                        || \in_array($value, $feature->beside, true),
                );

        return $otherwise ? ['required-otherwise', []] : null;
    }

    /** @return array<string, list<string|float>> character → what was seen that the description does not list */
    private function unusual(Dossier $dossier): array
    {
        $unusual = [];
        $compiled = $dossier->identification->compiled;
        foreach ($dossier->examination()->findings as $id => $finding) {
            if (
                $finding->isNotApplicable()
                && $finding->character->isFirm()
                && $compiled->characters[$id]->isDescribed($dossier->claimed())
            ) {
                $unusual[$id] = [];
            }
            foreach ($finding->readings() as $reading) {
                if (
                    $this->isUnusual($dossier, $finding, $reading)
                    && null === $this->against($dossier, $finding, $reading)
                ) {
                    $unusual[$id] = $reading->oneOf;
                }
            }
        }

        return $unusual;
    }

    private function isUnusual(Dossier $dossier, Finding $finding, Reading $reading): bool
    {
        return $dossier->identification->compiled->isUnusual($dossier->claimed(), $finding->character, $reading);
    }

    /** How many scores could have turned out unusual. */
    private function describedLooks(Dossier $dossier): int
    {
        $compiled = $dossier->identification->compiled;

        return \count(
            array_filter(
                $dossier->examination()->findings,
                static fn (Finding $finding): bool => $finding->character->isFirm()
                    && !isset($compiled->characters[$finding->character->id]->silent[$dossier->claimed()]),
            ),
        );
    }
}
