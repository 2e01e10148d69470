<?php

declare(strict_types=1);

namespace Hylognosis\Learning;

use Hylognosis\Clearance\Dossier;
use Hylognosis\Clearance\Gate;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\RequiredFeatures;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Observation;
use Hylognosis\Flora\RequiredFeature;
use Hylognosis\Flora\Taxon;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Danger;
use Hylognosis\Identification\Identifier;
use Hylognosis\Rehearsal\Goal;
use Hylognosis\Season\Phenology;

/** How the real gate would have decided on what a learner scored, a second person and the place aside. */
final readonly class PracticeGate
{
    /**
     * @param bool         $isOpen  all points but the people met
     * @param list<string> $missing characters the part still requires
     * @param list<Taxon>  $dangers that were still open
     * @param Taxon        $leader  what the scores speak for most
     * @param float        $share   how much of the likelihood it has, 0 to 1
     */
    private function __construct(
        public bool $isOpen,
        public array $missing,
        public array $dangers,
        public Taxon $leader,
        public float $share,
    ) {
    }

    /** @param list<Observation> $observations */
    public static function on(
        CompiledFlora $compiled,
        Phenology $phenology,
        Goal $goal,
        \DateTimeImmutable $date,
        array $observations,
    ): self {
        $identification = (new Identifier())->identify(
            $compiled,
            Examination::of($date, $compiled->stage, ExaminerRole::Instructor, $observations, []),
        );
        $dossier = new Dossier($goal->confirmedOn($date), $identification, $phenology, new PlaceTerms(true), $date);
        $leader = $identification->leader();

        return new self(
            (new Gate())->isOpenBut($dossier, ['people']),
            array_map(
                static fn (RequiredFeature $f): string => $f->character,
                (new RequiredFeatures())->open($dossier),
            ),
            array_map(static fn (Danger $d): Taxon => $d->taxon, $dossier->openDangers()),
            $compiled->flora->taxon($leader->taxon),
            $leader->posterior,
        );
    }
}
