<?php

declare(strict_types=1);

namespace App\Tests\Core\Clearance;

use App\Tests\Support\Dossiers;
use App\Tests\Support\Starter;
use Hylognosis\Clearance\Answer;
use Hylognosis\Clearance\Gate;
use Hylognosis\Clearance\People;
use Hylognosis\Clearance\PointStatus;
use Hylognosis\Clearance\Trust;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Observation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a learner has earned opens one gate, and no other. */
final class TrustTest extends TestCase
{
    public function testATrustedLearnerClearsHisPart(): void
    {
        $dossier = Dossiers::elderFlower(examiner: ExaminerRole::Learner, trust: self::trust());
        self::assertSame('trusted-with-this-part', (new People())->judge($dossier)->because->code);
        self::assertSame(Answer::Cleared, (new Gate())->decide($dossier)->answer);
    }

    /** @return iterable<string, array{Trust|null}> */
    public static function notHeld(): iterable
    {
        yield 'none' => [null];
        yield 'another part' => [self::trust(part: 'fruit')];
        yield 'another kind' => [self::trust(taxon: 'sambucus-racemosa')];
        yield 'it has ended' => [self::trust(until: '2027-06-13')];
        yield 'it begins tomorrow' => [self::trust(from: '2027-06-15')];
    }

    #[DataProvider('notHeld')]
    public function testNothingElseIsOpenedByIt(?Trust $trust): void
    {
        $dossier = Dossiers::elderFlower(examiner: ExaminerRole::Learner, trust: $trust);
        self::assertSame(PointStatus::Broken, (new People())->judge($dossier)->status);
        self::assertSame(Answer::Withheld, (new Gate())->decide($dossier)->answer);
    }

    public function testWhatWasExaminedBeforeOrIsDecidedAfterwardsIsNotCovered(): void
    {
        foreach ([['2027-06-10', '2027-06-12'], ['2027-06-12', '2027-06-17']] as [$examined, $decided]) {
            $dossier = Dossiers::elderFlower(
                date: $examined,
                decidedOn: $decided,
                examiner: ExaminerRole::Learner,
                trust: self::trust(from: '2027-06-11', until: '2027-06-16'),
            );
            self::assertSame('trust-does-not-hold', (new People())->judge($dossier)->because->code);
        }
    }

    public function testADangerStillBarsAndADeadlyOneStillTakesTwo(): void
    {
        $herb = array_replace(Starter::ELDER, [
            'twig.woodiness' => ['herbaceous', 3],
            'leaf.stipules' => ['leafy', 3],
            'flower.anthers' => ['purple', 3],
        ]);
        $barred = Dossiers::elderFlower(
            Starter::observations($herb),
            examiner: ExaminerRole::Learner,
            trust: self::trust(),
        );
        self::assertSame(Answer::Barred, (new Gate())->decide($barred)->answer);
        self::assertSame('second-needed', self::fir(null, ExaminerRole::Learner));
        $fir = Starter::observations(Starter::FIR);
        self::assertSame('second-may-not-decide', self::fir($fir, ExaminerRole::Learner), 'two learners do not do');
        self::assertSame('second-agrees', self::fir($fir, ExaminerRole::Instructor));
    }

    /** @param list<Observation>|null $second */
    private static function fir(?array $second, ExaminerRole $role): string
    {
        $dossier = Dossiers::of(
            'abies-alba',
            'young-shoot',
            Starter::observations(Starter::FIR),
            ['soft-and-light' => true, 'sprayed' => false],
            date: '2027-05-20',
            examiner: ExaminerRole::Learner,
            second: $second,
            secondRole: $role,
            trust: self::trust('abies-alba', 'young-shoot'),
        );

        return (new People())->judge($dossier)->because->code;
    }

    private static function trust(
        string $taxon = 'sambucus-nigra',
        string $part = 'flower',
        string $from = '2027-01-01',
        string $until = '2027-12-31',
    ): Trust {
        return new Trust($taxon, $part, self::day($from), self::day($until));
    }

    private static function day(string $day): \DateTimeImmutable
    {
        return new \DateTimeImmutable($day);
    }
}
