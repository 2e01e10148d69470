<?php

declare(strict_types=1);

namespace App\Species;

use App\Harvest\HarvestLog;
use App\Harvest\HarvestRepository;
use App\Hazards\View\HarmView;
use App\Hazards\View\HazardView;
use App\Hazards\View\LookAlikeView;
use App\Hazards\View\NoRecordView;
use App\Library\RehearsalFile;
use App\Season\View\MonthView;
use App\Species\View\ConditionView;
use App\Species\View\DescribedView;
use App\Species\View\FigureView;
use App\Species\View\NeverView;
use App\Species\View\PartView;
use App\Species\View\RehearsedView;
use App\Species\View\RequiredFeatureView;
use App\Species\View\StateShareView;
use App\Species\View\TaxonView;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\Condition;
use Hylognosis\Flora\Description;
use Hylognosis\Flora\FigureKind;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Hazard;
use Hylognosis\Flora\LookAlike;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Flora\RequiredFeature;
use Hylognosis\Flora\SourceReference;
use Hylognosis\Flora\StatedNever;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\HardinessZone;
use Hylognosis\Measure\Units;
use Hylognosis\Season\Phenology;

/** Draws up the notebook page of a species from the flora and from what was harvested of it. */
final readonly class SpeciesPage
{
    public function __construct(
        private HarvestRepository $harvests,
        private HarvestLog $harvestLog,
        private RehearsalFile $rehearsals,
    ) {
    }

    public function of(Flora $flora, Taxon $taxon, Units $units): TaxonView
    {
        return new TaxonView(
            $taxon->id,
            $taxon->name,
            $taxon->names->author,
            $taxon->names->family,
            $taxon->names->synonyms,
            $taxon->names->common,
            $taxon->names->misleading,
            $taxon->names->meaning,
            $taxon->fruitSet,
            $taxon->status->origin,
            $taxon->status->protected,
            $taxon->status->note,
            $taxon->severity(),
            HarmView::of($taxon),
            $taxon->summary,
            $this->description($flora, $taxon->description, $units),
            array_map(
                static fn (Hazard $h): HazardView => new HazardView($h->part, $h->who, $h->way, $h->severity, $h->note),
                $taxon->hazards,
            ),
            NoRecordView::of($taxon),
            array_values(
                array_map(fn (Part $part): PartView => $this->part($flora, $taxon, $part, $units), $taxon->parts),
            ),
            $this->months($flora, $taxon),
            $this->sources($flora, $taxon->sources),
            array_map($this->harvestLog->view(...), $this->harvests->ofTaxon($taxon->id)),
            array_map(
                static fn (FigureKind $kind): FigureView => self::figure($taxon, $kind),
                [] === $taxon->figures ? [] : FigureKind::cases(),
            ),
            $this->sources($flora, self::figureSources($flora, $taxon)),
            $taxon->parents,
            array_values(
                array_map(static fn (StatedNever $never): NeverView => NeverView::of($flora, $never), $taxon->nevers),
            ),
        );
    }

    /** @return list<DescribedView> in the flora's order; what it is silent of is left out */
    public function description(Flora $flora, Description $description, Units $units): array
    {
        return array_values(
            array_filter(
                array_map(
                    fn (Character $character): ?DescribedView => $this->described($description, $character, $units),
                    $flora->characters,
                ),
            ),
        );
    }

    private static function figure(Taxon $taxon, FigureKind $kind): FigureView
    {
        $range = $taxon->figures[$kind->value] ?? null;
        $coldest = FigureKind::Hardiness === $kind && null !== $range ? HardinessZone::of((int) $range->low) : null;

        return new FigureView(
            $kind->value,
            $kind->label(),
            null === $range ? null : (string) $range,
            $kind->unit(),
            null === $coldest
                ? ''
                : str_replace(
                    '-',
                    '−',
                    \sprintf('to %d °C, %d °F', $coldest->coldestCelsius(), $coldest->coldestFahrenheit()),
                ),
        );
    }

    /** @return list<SourceReference> each work once */
    private static function figureSources(Flora $flora, Taxon $taxon): array
    {
        $references = [];
        foreach (array_keys($taxon->figures) as $kind) {
            foreach ($flora->figureSources[$kind] ?? [] as $reference) {
                $references[$reference->source.'|'.$reference->place] = $reference;
            }
        }

        return array_values($references);
    }

    private function described(Description $description, Character $character, Units $units): ?DescribedView
    {
        $range = $description->range($character->id);
        $frequencies = $description->frequencies($character->id) ?? [];
        arsort($frequencies);
        if (null === $range && [] === $frequencies) {
            return null;
        }
        $states = [];
        foreach (array_filter($frequencies, static fn (float $share): bool => $share > 0.0) as $id => $share) {
            $states[] = $this->state($character, $id, $share);
        }

        return new DescribedView(
            $character->id,
            $character->organ,
            $character->label,
            $states,
            null === $range ? null : trim($range.' '.$character->unit),
            $range?->words($character->unit, $units),
        );
    }

    private function state(Character $character, string $id, float $share): StateShareView
    {
        $state = $character->state($id);

        return new StateShareView($id, $state->label, $state->drawing, $share);
    }

    private function part(Flora $flora, Taxon $taxon, Part $part, Units $units): PartView
    {
        return new PartView(
            $part->id,
            $part->label,
            $part->uses,
            $part->harmful,
            $part->timing?->window?->words() ?? '',
            $part->timing?->identified?->words() ?? '',
            array_map(
                static fn (Condition $c): ConditionView => new ConditionView($c->id, $c->question, $c->note, $c->wanted),
                $part->conditions,
            ),
            array_map(
                fn (RequiredFeature $f): RequiredFeatureView => $this->required(
                    $flora->character($f->character),
                    $f,
                    $units,
                ),
                $part->required,
            ),
            array_map(static function (LookAlike $l) use ($flora): LookAlikeView {
                $other = $flora->taxon($l->taxon);

                return new LookAlikeView($other->id, $other->commonName(), $other->name, $l->severity, $l->note);
            }, $part->lookAlikes),
            $part->handling->preparation,
            $part->handling->leave,
            $part->freshnessDays(),
            $this->sources($flora, $part->sources),
            $this->rehearsed($flora, $taxon, $part),
            $part->handling->yield,
            $part->handling->effort,
        );
    }

    private function rehearsed(Flora $flora, Taxon $taxon, Part $part): ?RehearsedView
    {
        $figures = $this->rehearsals->ofPart($flora, $taxon, $part);
        $right = $figures['right'] ?? [];
        if (null === $figures || [] === $right) {
            return null;
        }
        $share = static fn (array $row): float => RehearsalFile::number($row['cleared']) /
            RehearsalFile::number($row['played']);
        usort($right, static fn (array $a, array $b): int => $share($b) <=> $share($a));
        $months = array_map(
            static fn (array $row): int => (int) $row['month'],
            array_filter($right, static fn (array $row): bool => $row['cleared'] > 0),
        );
        sort($months);
        $passing = $figures['passing'];
        usort(
            $passing,
            static fn (array $a, array $b): int => RehearsalFile::number($b['bound']) <=>
                RehearsalFile::number($a['bound']),
        );
        $worst = $passing[0] ?? null;

        return new RehearsedView(
            $figures['made_on'],
            (int) $right[0]['month'],
            $share($right[0]),
            null === $right[0]['looks'] ? null : (float) $right[0]['looks'],
            $months,
            null === $worst ? null : $flora->taxon((string) $worst['danger'])->commonName(),
            null === $worst ? null : RehearsalFile::number($worst['bound']),
            null === $worst ? null : RehearsalFile::number($worst['tolerates']),
            null === $worst ? null : RehearsalFile::number($worst['two_tolerate']),
            [] === array_filter($passing, static fn (array $row): bool => true !== $row['meets_aim']),
        );
    }

    private function required(Character $character, RequiredFeature $feature, Units $units): RequiredFeatureView
    {
        return new RequiredFeatureView(
            $character->id,
            $character->label,
            $character->organ,
            array_map(fn (string $id): StateShareView => $this->state($character, $id, 1.0), $feature->states),
            $feature->range?->words($character->unit, $units),
            $feature->samples,
            array_map(fn (string $id): StateShareView => $this->state($character, $id, 1.0), $feature->beside),
        );
    }

    /** @return list<MonthView> what it shows on the fifteenth of each month at the reference place */
    private function months(Flora $flora, Taxon $taxon): array
    {
        $phenology = Phenology::at($flora, $flora->reference);

        return array_map(static function (int $month) use ($phenology, $taxon): MonthView {
            $mask = $phenology->phases($taxon, DayOfYear::parse(\sprintf('%02d-15', $month)));
            $phases = [];
            foreach (Phenophase::cases() as $bit => $phase) {
                if (0 !== ($mask & (1 << $bit))) {
                    $phases[] = $phase->value;
                }
            }

            return new MonthView($month, $phases);
        }, range(1, 12));
    }

    /**
     * @param list<SourceReference> $references
     *
     * @return list<string>
     */
    private function sources(Flora $flora, array $references): array
    {
        return array_map(static function (SourceReference $reference) use ($flora): string {
            $source = $flora->sources[$reference->source];

            return implode(
                ', ',
                array_filter(
                    [
                        $source->author,
                        $source->title,
                        $source->year,
                        '' === $reference->place ? '' : 'under '.$reference->place,
                    ],
                    static fn (string $word): bool => '' !== $word,
                ),
            ).($reference->memory ? ' (written down from memory)' : '');
        }, $references);
    }
}
