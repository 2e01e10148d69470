<?php

declare(strict_types=1);

namespace Hylognosis\Assessment;

use Hylognosis\Clearance\Dossier;
use Hylognosis\Clearance\Gate;
use Hylognosis\Clearance\NoContradiction;
use Hylognosis\Clearance\RequiredFeatures;
use Hylognosis\Clearance\SecondLook;
use Hylognosis\Examination\Examination;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Identification\Aim;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Contrast;
use Hylognosis\Identification\Danger;
use Hylognosis\Identification\Identification;
use Hylognosis\Identification\Identifier;
use Hylognosis\Identification\NextLook;
use Hylognosis\Identification\Outlook;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Season\Phenology;

/** Takes one full step: rank, explain, decide, suggest. The screens and the shell both ask here. */
final readonly class Assessor
{
    /** A tree more likely this kind than all others together is looked at as one. */
    private const TAKEN_FOR = 0.5;

    public function __construct(
        private Identifier $identifier = new Identifier(),
        private Gate $gate = new Gate(),
        private NextLook $nextLook = new NextLook(),
    ) {
    }

    /** @param callable(LifeStage): CompiledFlora $compiled the flora, made ready for trees of a life stage */
    public function assess(callable $compiled, Inquiry $inquiry): Assessment
    {
        $identification = $this->identify($compiled, $inquiry->examination);
        $phenology = Phenology::at($identification->compiled->flora, $inquiry->place);
        $outlook = new Outlook(DayOfYear::on($inquiry->examination->date), $phenology, $inquiry->reach, $inquiry->kit);
        if (null === $inquiry->claim) {
            $dangers = Dossier::dangersBut($identification, null, $phenology);
            $expected = $identification->leader()->taxon;

            return new Assessment(
                $identification,
                $this->reports(
                    $identification,
                    $dangers,
                    $expected,
                    Contrast::of($identification->compiled, $expected),
                    $outlook,
                ),
                null,
                $this->nextLook->suggest(
                    $identification,
                    $outlook,
                    $inquiry->covered ? $this->ownAim($identification, $phenology) : null,
                ),
                $outlook,
            );
        }
        $dossier = new Dossier(
            $inquiry->claim,
            $identification,
            $phenology,
            $inquiry->terms,
            $inquiry->decidedOn,
            array_map(
                fn (SecondExamination $second): SecondLook => new SecondLook(
                    $this->identify($compiled, $second->examination),
                    $second->blind,
                    $second->person,
                    $second->reconsidered,
                ),
                $inquiry->seconds,
            ),
            person: $inquiry->person,
            trust: $inquiry->trust,
        );
        $contrast = Contrast::of($identification->compiled, $inquiry->claim->taxon->id);
        $aim = $inquiry->covered
            ? $this->ownAim($identification, $phenology)
            : new Aim(
                $inquiry->claim->taxon,
                (new RequiredFeatures())->open($dossier),
                $dossier->openDangers(),
                (new NoContradiction())->broken($dossier),
            );

        return new Assessment(
            $identification,
            $this->reports($identification, $dossier->dangers, $inquiry->claim->taxon->id, $contrast, $outlook),
            $this->gate->decide($dossier),
            $this->nextLook->suggest($identification, $outlook, $aim, contrast: $inquiry->covered ? null : $contrast),
            $outlook,
        );
    }

    /**
     * What somebody who does not know the hope is after: any part of the kind that his own scores put first. The order
     * of the looks then tells nothing but what he has seen himself.
     */
    private function ownAim(Identification $identification, Phenology $phenology): ?Aim
    {
        $leader = $identification->leader();
        if ($leader->posterior < self::TAKEN_FOR) {
            return null;
        }
        $taxon = $identification->compiled->flora->taxon($leader->taxon);
        $open = [];
        foreach ($taxon->parts as $part) {
            foreach ($part->required as $feature) {
                if (null === $identification->examination->finding($feature->character)) {
                    $open[$feature->character] ??= $feature;
                }
            }
        }
        $dangers = array_filter(
            Dossier::dangersBut($identification, null, $phenology),
            static fn (Danger $danger): bool => !$danger->isExcluded() && $danger->taxon !== $taxon,
        );

        return new Aim($taxon, array_values($open), array_values($dangers));
    }

    /** @param callable(LifeStage): CompiledFlora $compiled */
    private function identify(callable $compiled, Examination $examination): Identification
    {
        return $this->identifier->identify($compiled($examination->stage), $examination);
    }

    /**
     * @param list<Danger> $dangers
     *
     * @return list<DangerReport>
     */
    private function reports(
        Identification $identification,
        array $dangers,
        string $expected,
        Contrast $contrast,
        Outlook $outlook,
    ): array {
        $open = array_values(
            array_filter(
                $dangers,
                static fn (Danger $danger): bool => !$danger->isExcluded() && $danger->taxon->id !== $expected,
            ),
        );
        $looks = $this->nextLook->thatWouldExclude($identification, $open, $contrast, $outlook);

        return array_map(
            static fn (Danger $danger): DangerReport => new DangerReport(
                $danger,
                $identification->posteriorOf($danger->taxon->id),
                $looks[$danger->taxon->id] ?? null,
            ),
            $dangers,
        );
    }
}
