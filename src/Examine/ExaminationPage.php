<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Account\View\PersonView;
use App\Examine\View\AssessmentView;
use App\Examine\View\DecisionView;
use App\Examine\View\ExaminationView;
use App\Examine\View\ScoreView;
use App\Trees\View\SpecimenView;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Units;
use Hylognosis\Season\Phenology;
use Hylognosis\Wording\English;

/** Draws up what the screen shows of an examination. */
final readonly class ExaminationPage
{
    /** Candidates that come with their evidence. */
    private const EXPLAINED = 6;

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
        $words = new English($flora, Units::from($viewer->units), $record->hidesNames());
        $hidesHope = $record->hidesTheHope();

        return new ExaminationView(
            $record->id, SpecimenView::of($record->specimen), PersonView::of($record->examiner), $record->examiner === $viewer, $record->date,
            $record->stage, $record->flora, $record->route, $record->reach, $record->kit, $record->isSigned(), $record->hidesNames(), $hidesHope, $record->blind,
            $hidesHope ? null : $record->claimTaxon, $hidesHope ? null : $record->claimPart, $hidesHope ? [] : $record->conditions, $record->secondOf?->id, $record->unprejudiced,
            $record->dateReason, null === $record->reconsideredAt ? null : $record->reconsideredBecause,
            array_map(ScoreView::of(...), array_values($record->scores->toArray())),
            $this->covering->of($record, AssessmentView::of($this->stored->assess($record), $words, self::EXPLAINED)),
            $hidesHope ? [] : $this->takings->under($record),
            array_map(
                static fn (DecisionRecord $d): DecisionView => new DecisionView($d->taxon, $d->part, $d->answer, $words->sentence($d->reason()), $d->decidedOn, $d->validUntil),
                $this->entities->getRepository(DecisionRecord::class)->findBy(['examination' => $record], ['id' => 'DESC']),
            ),
            Phenology::at($flora, $record->specimen->site->place())->outOfSeason($flora, DayOfYear::on(new \DateTimeImmutable($record->date))),
        );
    }
}
