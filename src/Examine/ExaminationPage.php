<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Account\View\PersonView;
use App\Examine\View\ClearanceView;
use App\Examine\View\DecisionView;
use App\Examine\View\ExaminationView;
use App\Examine\View\HandedOverView;
use App\Examine\View\ScoreView;
use App\Library\CropTable;
use App\Trees\View\SpecimenView;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\Units;
use Hylognosis\Wording\English;

/** Draws up what the screen shows of an examination. */
final readonly class ExaminationPage
{
    public function __construct(
        private StoredExaminations $stored,
        private Takings $takings,
        private EntityManagerInterface $entities,
        private CropTable $crops,
    ) {
    }

    public function of(ExaminationRecord $record, User $viewer): ExaminationView
    {
        $asked = $this->stored->asked($record);
        $shown = Shown::of(
            $this->stored->assess($record, $asked),
            $asked->claim,
            $asked->terms->quotas[$record->claimTaxon ?? ''] ?? null,
            $this->crops->of($record->claimTaxon ?? '', $record->claimPart ?? ''),
            $record->cover(),
            $words = $this->words($record, $viewer),
        );

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
            hopeCovered: $record->hidesTheHope(),
            claim: $shown->claim,
            conditions: $record->hidesTheHope() ? [] : $record->conditions,
            secondOf: $record->secondOf?->id,
            unprejudiced: $record->unprejudiced,
            dateReason: $record->dateReason,
            reconsideredBecause: null === $record->reconsideredAt ? null : $record->reconsideredBecause,
            handedOver: array_map(
                static fn (array $h): HandedOverView => new HandedOverView($h['name'], $h['on'], $h['scores']),
                $record->handedOver,
            ),
            scores: array_map(ScoreView::of(...), array_values($record->scores->toArray())),
            assessment: $shown->assessment,
            harvests: $record->isSigned() ? $this->takings->under($record) : [],
            decisions: $record->isSigned() ? $this->decisions($record, $words) : [],
            inSight: $shown->inSight,
            asleep: $shown->asleep,
        );
    }

    /** The gate with all nine points; none where nothing is asked, or what is asked is covered. */
    public function points(ExaminationRecord $record, User $viewer): ?ClearanceView
    {
        return Shown::points($this->stored->assess($record), $record->cover(), $this->words($record, $viewer));
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
