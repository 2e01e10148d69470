<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Account\View\PersonView;
use App\Examine\View\AssessmentView;
use App\Examine\View\ClaimView;
use App\Examine\View\ClearanceView;
use App\Examine\View\DecisionView;
use App\Examine\View\ExaminationView;
use App\Examine\View\HandedOverView;
use App\Examine\View\ScoreView;
use App\Trees\View\SpecimenView;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\RequiredFeature;
use Hylognosis\Identification\InSight;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\Units;
use Hylognosis\Wording\English;

/** Draws up what the screen shows of an examination. */
final readonly class ExaminationPage
{
    public function __construct(
        private StoredExaminations $stored,
        private Covering $covering,
        private Takings $takings,
        private EntityManagerInterface $entities,
    ) {
    }

    public function of(ExaminationRecord $record, User $viewer): ExaminationView
    {
        $flora = $this->stored->flora($record);
        $assessment = $this->stored->assess($record);
        $words = $this->words($record, $viewer);
        $hidesHope = $record->hidesTheHope();
        $taxon = $hidesHope || null === $record->claimTaxon ? null : $flora->taxon($record->claimTaxon);
        $part = $taxon?->part((string) $record->claimPart);
        $wanted = array_map(static fn (RequiredFeature $feature): string => $feature->character, $part->required ?? []);
        $inSight = InSight::of($flora, $assessment->identification->examination, $assessment->outlook, $wanted);

        return new ExaminationView(
            id: $record->id,
            specimen: SpecimenView::of($record->specimen),
            examiner: PersonView::of($record->examiner),
            mine: $record->examiner === $viewer,
            date: CalendarDay::iso($record->date),
            stage: $record->stage,
            flora: $record->flora,
            route: $record->route,
            reach: $record->reach,
            kit: $record->kit,
            signed: $record->isSigned(),
            namesCovered: $record->hidesNames(),
            hopeCovered: $hidesHope,
            claim: null === $taxon || null === $part
                ? null
                : ClaimView::of(
                    $taxon,
                    $part,
                    $assessment->clearance,
                    $this->stored->asked($record)->terms->quotas[$taxon->id] ?? null,
                ),
            conditions: $hidesHope ? [] : $record->conditions,
            secondOf: $record->secondOf?->id,
            unprejudiced: $record->unprejudiced,
            dateReason: $record->dateReason,
            reconsideredBecause: null === $record->reconsideredAt ? null : $record->reconsideredBecause,
            handedOver: array_map(
                static fn (array $h): HandedOverView => new HandedOverView($h['name'], $h['on'], $h['scores']),
                $record->handedOver,
            ),
            scores: array_map(ScoreView::of(...), array_values($record->scores->toArray())),
            assessment: $this->covering->of($record, AssessmentView::of($assessment, $words)),
            harvests: $record->isSigned() ? $this->takings->under($record) : [],
            decisions: $record->isSigned() ? $this->decisions($record, $words) : [],
            inSight: array_map(static fn (Character $character): string => $character->id, $inSight),
        );
    }

    /** The gate with all nine points; none where nothing is asked, or what is asked is covered. */
    public function points(ExaminationRecord $record, User $viewer): ?ClearanceView
    {
        $clearance = $this->stored->assess($record)->clearance;

        return null === $clearance
            ? null
            : $this->covering->points($record, ClearanceView::of($clearance, $this->words($record, $viewer)));
    }

    /** @return list<DecisionView> newest first */
    private function decisions(ExaminationRecord $record, English $words): array
    {
        return array_map(
            static fn (DecisionRecord $d): DecisionView => new DecisionView(
                $d->id,
                $d->taxon,
                $d->part,
                $d->answer,
                $words->sentence($d->reason()),
                CalendarDay::iso($d->decidedOn),
                null === $d->validUntil ? null : CalendarDay::iso($d->validUntil),
            ),
            $this->entities->getRepository(DecisionRecord::class)->findBy(['examination' => $record], ['id' => 'DESC']),
        );
    }

    private function words(ExaminationRecord $record, User $viewer): English
    {
        return new English($this->stored->flora($record), Units::from($viewer->units), $record->hidesNames());
    }
}
