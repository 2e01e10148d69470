<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Entity\ExaminationRecord;
use App\Entity\ScoreRecord;
use App\Repository\ExaminationRepository;
use App\Repository\HarvestRepository;
use App\StandIn\SchoolClock;
use Hylognosis\Assessment\Assessment;
use Hylognosis\Assessment\Assessor;
use Hylognosis\Assessment\Inquiry;
use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\Observation;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Instrument;
use Hylognosis\Flora\Reach;

/** Hands stored examinations to the core and brings its answer back. */
final readonly class StoredExaminations
{
    public function __construct(
        private FloraLibrary $library,
        private Assessor $assessor,
        private ExaminationRepository $examinations,
        private HarvestRepository $harvests,
        private SchoolClock $clock,
    ) {
    }

    public function assess(ExaminationRecord $record): Assessment
    {
        return $this->assessor->assess($this->library->compiler($record->flora), $this->inquiry($record));
    }

    public function flora(ExaminationRecord $record): Flora
    {
        return $this->library->flora($record->flora);
    }

    private function inquiry(ExaminationRecord $record): Inquiry
    {
        $flora = $this->flora($record);
        $claim = $this->claim($flora, $record);
        $second = null === $claim ? null : $this->examinations->counterpartOf($record);
        $today = $this->clock->today();

        return new Inquiry(
            $this->examination($flora, $record),
            $record->specimen->site->place(),
            $today,
            $claim,
            null === $claim ? new PlaceTerms(null) : $record->specimen->site->terms(
                $claim->taxon->id, $claim->part->id,
                $this->harvests->takings($record->specimen->site, $claim->taxon->id, $claim->part->id, (int) $today->format('Y')),
            ),
            null === $second ? null : $this->examination($flora, $second),
            null === $record->secondOf ? $second->unprejudiced ?? true : $record->unprejudiced,
            array_map(Reach::from(...), $record->reach),
            array_map(Instrument::from(...), $record->kit),
        );
    }

    private function claim(Flora $flora, ExaminationRecord $record): ?Claim
    {
        if (null === $record->claimTaxon || null === $record->claimPart) {
            return null;
        }
        $taxon = $flora->taxon($record->claimTaxon);

        return new Claim($taxon, $taxon->part($record->claimPart), $record->conditions);
    }

    private function examination(Flora $flora, ExaminationRecord $record): Examination
    {
        $observations = $couldNotLook = [];
        foreach ($record->scores as $score) {
            if (null !== $score->takenBackAt) {
                continue;
            }
            if ($score->looked) {
                $observations[] = self::observation($flora, $score);
            } else {
                $couldNotLook[] = $score->character;
            }
        }

        return Examination::of(
            new \DateTimeImmutable($record->date, new \DateTimeZone('UTC')),
            $record->stage, $record->examiner->role, $observations, $couldNotLook,
        );
    }

    /**
     * @throws \Hylognosis\Flora\UnknownEntry if the flora has no such character or state
     * @throws \InvalidArgumentException      if the values do not suit the character
     */
    public static function observation(Flora $flora, ScoreRecord $score): Observation
    {
        $character = $flora->character($score->character);
        if ([] !== $score->numbers) {
            return Observation::ofNumbers($character, $score->numbers, $score->certainty, $score->where, $score->position);
        }
        if ([] === $score->states) {
            throw new \InvalidArgumentException('Choose at least one state, give a number, or say that you could not look.');
        }

        return Observation::ofStates($character, $score->states, $score->certainty, $score->samples, $score->where, $score->position);
    }
}
