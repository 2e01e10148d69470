<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

use Hylognosis\Clearance\Breadth;
use Hylognosis\Clearance\Dossier;
use Hylognosis\Clearance\Gate;
use Hylognosis\Clearance\NoContradiction;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\RequiredFeatures;
use Hylognosis\Clearance\Strength;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Look;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\RequiredFeature;
use Hylognosis\Identification\Aim;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Danger;
use Hylognosis\Identification\Identification;
use Hylognosis\Identification\Identifier;
use Hylognosis\Identification\NextLook;
use Hylognosis\Identification\Outlook;
use Hylognosis\Identification\Suggestion;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Season\Phenology;

/**
 * The real engine at the simulated examiner's elbow: the same identification, gate and next look that decide in the
 * application. Most courses of an examination look alike, so what was asked once is remembered.
 */
final class Desk
{
    /** Remembered verdicts are dropped beyond so many. */
    private const REMEMBERED = 20_000;
    private const SUGGESTIONS = 6;

    /** @var array<string, Verdict> */
    private array $remembered = [];

    public function __construct(
        public readonly CompiledFlora $compiled,
        public readonly Phenology $phenology,
        public readonly Goal $goal,
        private readonly \DateTimeImmutable $date,
        private readonly Identifier $identifier = new Identifier(),
        private readonly Gate $gate = new Gate(),
        private readonly NextLook $nextLook = new NextLook(),
    ) {
    }

    /**
     * @param array<string, non-empty-list<non-empty-list<string|float>>> $scores       character → what each look read
     * @param list<string>                                                $couldNotLook
     */
    public function verdict(array $scores, array $couldNotLook): Verdict
    {
        ksort($scores);
        $key = json_encode([$scores, $couldNotLook], \JSON_THROW_ON_ERROR);
        if (isset($this->remembered[$key])) {
            return $this->remembered[$key];
        }
        if (\count($this->remembered) >= self::REMEMBERED) {
            $this->remembered = [];
        }

        return $this->remembered[$key] = $this->asked($this->identification($scores, $couldNotLook));
    }

    /**
     * @param array<string, non-empty-list<non-empty-list<string|float>>> $scores
     * @param list<string>                                                $couldNotLook
     */
    public function identification(array $scores, array $couldNotLook): Identification
    {
        $observations = [];
        foreach ($scores as $id => $looks) {
            foreach ($looks as $i => $values) {
                $observations[] = $this->observation((string) $id, $values, new Look($i > 0));
            }
        }

        return $this->identifier->identify(
            $this->compiled,
            Examination::of(
                $this->date,
                $this->compiled->stage,
                ExaminerRole::Instructor,
                $observations,
                $couldNotLook,
            ),
        );
    }

    private function asked(Identification $identification): Verdict
    {
        $dossier = $this->dossier($identification);
        $open = $this->gate->isOpenBut($dossier, ['people']);
        $aim = new Aim(
            $this->goal->claim->taxon,
            (new RequiredFeatures())->open($dossier),
            $dossier->openDangers(),
            (new NoContradiction())->broken($dossier),
        );
        $next = $open
            ? []
            : $this->nextLook->suggest(
                $identification,
                Outlook::unhindered($this->goal->day, $this->phenology),
                $aim,
                self::SUGGESTIONS,
            );

        return new Verdict($open, array_map(static fn (Suggestion $s): string => $s->character->id, $next));
    }

    /**
     * @param array<string, non-empty-list<non-empty-list<string|float>>> $scores
     * @param list<string>                                                $couldNotLook
     *
     * @return list<string> characters that are required or contradict, taxa not excluded, and whether strength or
     *                      breadth are missing
     */
    public function inTheWay(array $scores, array $couldNotLook): array
    {
        $dossier = $this->dossier($this->identification($scores, $couldNotLook));
        $open = [
            ...array_map(
                static fn (RequiredFeature $f): string => $f->character,
                (new RequiredFeatures())->open($dossier),
            ),
            ...(new NoContradiction())->broken($dossier),
            ...array_map(static fn (Danger $d): string => $d->taxon->id, $dossier->openDangers()),
        ];
        foreach ([new Strength(), new Breadth()] as $point) {
            $report = $point->judge($dossier);
            $open = $report->isMet() ? $open : [...$open, $report->point];
        }

        return array_values(array_unique($open));
    }

    /** The day of the examination, or, where the part is taken later in the year, the first day of its window. */
    private function takenOn(): \DateTimeImmutable
    {
        $day = DayOfYear::on($this->date);
        $window = $this->goal->claim->part->timing?->window;

        if (null === $window || $window->contains($day)) {
            return $this->date;
        }
        $thisYear = new \DateTimeImmutable($this->date->format('Y').'-'.$window->from);

        return $thisYear >= $this->date
            ? $thisYear
            : new \DateTimeImmutable((int) $this->date->format('Y') + 1 .'-'.$window->from);
    }

    private function dossier(Identification $identification): Dossier
    {
        return new Dossier(
            $this->goal->confirmedOn($this->takenOn()),
            $identification,
            $this->phenology,
            new PlaceTerms(true),
            $this->takenOn(),
        );
    }

    /** @param non-empty-list<string|float> $values */
    private function observation(string $id, array $values, Look $look): Observation
    {
        $character = $this->compiled->flora->character($id);
        $samples = max(2, $this->goal->required[$id]->samples ?? 2);
        $numbers = array_values(array_filter($values, is_float(...)));
        if ([] !== $numbers) {
            return Observation::ofNumbers(
                $character,
                [...$numbers, ...array_fill(0, max(0, $samples - \count($numbers)), $numbers[0])],
                Certainty::Sure,
                Whereabouts::Tree,
                look: $look,
            );
        }
        $states = array_values(array_filter($values, is_string(...)));
        \assert([] !== $states);

        return Observation::ofStates($character, $states, Certainty::Sure, $samples, Whereabouts::Tree, look: $look);
    }
}
