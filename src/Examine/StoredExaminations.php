<?php

declare(strict_types=1);

namespace App\Examine;

use App\Clock\SchoolClock;
use App\Library\FloraLibrary;
use Hylognosis\Assessment\Assessment;
use Hylognosis\Assessment\Assessor;
use Hylognosis\Assessment\Inquiry;
use Hylognosis\Assessment\SecondExamination;
use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\ConditionAnswer;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\Trust;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Look;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\ScoreAnswer;
use Hylognosis\Examination\UnusableScore;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Instrument;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Reach;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Measure\CalendarDay;

/** Hands stored examinations to the core and brings its answer back. */
final readonly class StoredExaminations
{
    public function __construct(
        private FloraLibrary $library,
        private Assessor $assessor,
        private ExaminationRepository $examinations,
        private Takings $takings,
        private SchoolClock $clock,
        private TrustOfLearners $trust,
    ) {
    }

    public function assess(ExaminationRecord $record, ?Inquiry $asked = null): Assessment
    {
        return $this->assessor->assess($this->library->compiler($record->flora), $asked ?? $this->asked($record));
    }

    public function flora(ExaminationRecord $record): Flora
    {
        return $this->library->flora($record->flora);
    }

    /** @return \Closure(LifeStage): CompiledFlora that flora made ready for trees of a life stage */
    public function compiler(ExaminationRecord $record): \Closure
    {
        return $this->library->compiler($record->flora);
    }

    /** What was scored, as the core takes it. */
    public function examinationOf(ExaminationRecord $record): Examination
    {
        return $this->examination($this->flora($record), $record);
    }

    /** All the engine is told of it, as things stand now. */
    public function asked(ExaminationRecord $record): Inquiry
    {
        $flora = $this->flora($record);
        $claim = $this->claim($flora, $record);
        $today = $this->clock->today();
        $used = [];
        foreach (null === $claim ? [] : $claim->kinds($flora) as $kind) {
            if (!isset($record->specimen->site->quotas[$kind.'/'.($claim->part->id ?? '')])) {
                continue; // nothing is counted where nothing is allowed by number
            }
            $used[$kind] = $this->takings->at(
                $record->specimen->site,
                $kind,
                $claim->part->id ?? '',
                (int) $today->format('Y'),
            );
        }

        return new Inquiry(
            $this->examination($flora, $record),
            $record->specimen->site->place(),
            $today,
            $claim,
            null === $claim
                ? new PlaceTerms(null)
                : $record->specimen->site->rules()->terms($claim->taxon->id, $claim->part->id, $used),
            null === $claim
                ? []
                : array_map(
                    fn (ExaminationRecord $other): SecondExamination => new SecondExamination(
                        $this->examination($flora, $other),
                        null === $record->secondOf ? $other->unprejudiced : $record->unprejudiced,
                        $other->examiner->id,
                        null !== $other->reconsideredAt,
                    ),
                    $this->examinations->answering($record),
                ),
            array_map(Reach::from(...), $record->reach),
            array_map(Instrument::from(...), $record->kit),
            $record->examiner->id,
            $record->hidesTheHope(),
            $this->trust($record),
        );
    }

    /** What its examiner has earned, of a look that is all his own and was made here. */
    public function trust(ExaminationRecord $record): ?Trust
    {
        return null === $record->claimTaxon
            || null === $record->claimPart
            || $record->broughtIn
            || [] !== $record->handedOver
            || ExaminerRole::Learner !== $record->examinerRole()
            ? null
            : $this->trust->of($record->examiner, $record->claimTaxon, $record->claimPart);
    }

    private function claim(Flora $flora, ExaminationRecord $record): ?Claim
    {
        if (null === $record->claimTaxon || null === $record->claimPart) {
            return null;
        }
        $taxon = $flora->taxon($record->claimTaxon);
        $confirmed = [];
        foreach ($record->conditions as $condition => $found) {
            $confirmed[$condition] = new ConditionAnswer(
                $found,
                isset($record->conditionsOn[$condition])
                    ? CalendarDay::parse($record->conditionsOn[$condition])
                    : $record->date,
            );
        }

        return new Claim($taxon, $taxon->part($record->claimPart), $confirmed);
    }

    private function examination(Flora $flora, ExaminationRecord $record): Examination
    {
        $observations = $couldNotLook = [];
        foreach ($record->scores as $score) {
            if (ScoreAnswer::CannotBeSeen !== $score->answer) {
                $observations[] = self::observation($flora, $score);
            } elseif (null === $score->takenBackAt) {
                $couldNotLook[] = $score->character;
            }
        }

        return Examination::of(
            min($record->date, $record->firstScoredOn() ?? $record->date),
            $record->stage,
            $record->examinerRole(),
            $observations,
            $couldNotLook,
        );
    }

    /**
     * @throws UnknownEntry  if the flora has no such character or state
     * @throws UnusableScore if the values do not suit the character
     */
    public static function observation(Flora $flora, ScoreRecord $score): Observation
    {
        return Observation::of(
            $flora->character($score->character),
            $score->answer,
            $score->states,
            $score->numbers,
            $score->certainty,
            $score->samples,
            $score->where,
            $score->position,
            $score->either,
            new Look($score->further, $score->recordedAt, null !== $score->takenBackAt),
        );
    }
}
