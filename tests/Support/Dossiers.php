<?php

declare(strict_types=1);

namespace App\Tests\Support;

use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\ConditionAnswer;
use Hylognosis\Clearance\Dossier;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\SecondLook;
use Hylognosis\Clearance\Trust;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Observation;
use Hylognosis\Flora\Flora;
use Hylognosis\Identification\Identification;
use Hylognosis\Identification\Identifier;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Place;
use Hylognosis\Reason\Reason;
use Hylognosis\Season\Phenology;
use Hylognosis\Wording\English;

/** Builds what a decision rests on, complete unless a test leaves something out. */
final class Dossiers
{
    /**
     * @param list<Observation>|null  $scores     null: all that is required
     * @param array<string, bool>     $conditions
     * @param list<Observation>|null  $second
     */
    public static function elderFlower(
        ?array $scores = null,
        array $conditions = ['in-full-bloom' => true],
        ?PlaceTerms $terms = null,
        string $date = '2027-06-14',
        ?string $decidedOn = null,
        ExaminerRole $examiner = ExaminerRole::Instructor,
        ?array $second = null,
        bool $sameSpecimen = true,
        ?Trust $trust = null,
    ): Dossier {
        return self::of(
            'sambucus-nigra',
            'flower',
            $scores ?? Starter::observations(Starter::ELDER),
            $conditions,
            $terms,
            $date,
            $decidedOn,
            $examiner,
            $second,
            true,
            $sameSpecimen,
            trust: $trust,
        );
    }

    /**
     * @param list<Observation>|null $scores
     * @param list<Observation>|null $second
     */
    public static function firShoot(
        ?array $scores = null,
        ?array $second = null,
        bool $blind = true,
        ExaminerRole $secondRole = ExaminerRole::Instructor,
    ): Dossier {
        return self::of(
            'abies-alba',
            'young-shoot',
            $scores ?? Starter::observations(Starter::FIR),
            ['soft-and-light' => true, 'sprayed' => false],
            null,
            '2027-05-20',
            null,
            ExaminerRole::Instructor,
            $second,
            $blind,
            true,
            $secondRole,
        );
    }

    /**
     * @param list<Observation>      $scores
     * @param array<string, bool>    $conditions
     * @param list<Observation>|null $second
     */
    public static function of(
        string $taxon,
        string $part,
        array $scores,
        array $conditions = [],
        ?PlaceTerms $terms = null,
        string $date = '2027-06-14',
        ?string $decidedOn = null,
        ExaminerRole $examiner = ExaminerRole::Instructor,
        ?array $second = null,
        bool $blind = true,
        bool $sameSpecimen = true,
        ExaminerRole $secondRole = ExaminerRole::Instructor,
        ?Trust $trust = null,
    ): Dossier {
        $flora = Starter::flora();
        $claimed = $flora->taxon($taxon);
        $decidedOn = new \DateTimeImmutable($decidedOn ?? $date);
        $confirmed = array_map(
            static fn (bool $found): ConditionAnswer => new ConditionAnswer($found, $decidedOn),
            $conditions,
        );

        return new Dossier(
            new Claim($claimed, $claimed->part($part), $confirmed),
            self::identify($scores, $date, $examiner),
            Phenology::at($flora, Place::of(47.1, 15.4, Length::ofMetres(400))),
            $terms ?? new PlaceTerms(true),
            $decidedOn,
            null === $second
                ? []
                : [new SecondLook(self::identify(Starter::byOtherEyes($second), $date, $secondRole), $blind)],
            $sameSpecimen,
            trust: $trust,
        );
    }

    /** What a point or a line says, in words. */
    public static function words(Reason $reason, ?Flora $flora = null): string
    {
        return (new English($flora ?? Starter::flora()))->sentence($reason);
    }

    /** @param list<Observation> $scores */
    private static function identify(array $scores, string $date, ExaminerRole $role): Identification
    {
        return (new Identifier())->identify(Starter::compiled(), Starter::examination($scores, $date, $role));
    }
}
