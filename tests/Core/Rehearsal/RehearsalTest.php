<?php

declare(strict_types=1);

namespace App\Tests\Core\Rehearsal;

use App\Tests\Support\Starter;
use Hylognosis\Clearance\Claim;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Taxon;
use Hylognosis\Rehearsal\Chance;
use Hylognosis\Rehearsal\Desk;
use Hylognosis\Rehearsal\ExactBound;
use Hylognosis\Rehearsal\ExaminerKind;
use Hylognosis\Rehearsal\Eye;
use Hylognosis\Rehearsal\Goal;
use Hylognosis\Rehearsal\Rehearsal;
use Hylognosis\Rehearsal\Rehearser;
use Hylognosis\Rehearsal\Showing;
use Hylognosis\Rehearsal\TreeKind;
use Hylognosis\Season\DayOfYear;
use Hylognosis\Season\Phenology;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

final class RehearsalTest extends TestCase
{
    public function testTheSameSeedGivesTheSameFigures(): void
    {
        [$elder, $fruit] = self::elderFruit();
        $figures = static fn (int $seed) => (new Rehearsal(Starter::flora(), $seed, 40))->passing($elder, $fruit, Starter::flora()->taxon('sambucus-ebulus'), Rehearsal::months($fruit), ExaminerKind::Careless);
        self::assertEquals($figures(7), $figures(7));
        self::assertNotEquals($figures(7)->estimate, $figures(8)->estimate);
    }

    public function testTheExactBoundLiesAboveWhatIsPlayed(): void
    {
        $flora = Starter::flora();
        $rehearsal = new Rehearsal($flora, 1, 60);
        foreach ($rehearsal->wanted() as [$taxon, $part]) {
            foreach ($flora->dangerous() as $danger) {
                if ($danger !== $taxon) {
                    $passing = $rehearsal->passing($taxon, $part, $danger, Rehearsal::months($part), ExaminerKind::Careful);
                    // sampled, so a little above is chance
                    self::assertLessThanOrEqual(1.5 * $this->bound($taxon, $part, $danger), $passing->estimate ?? 0.0, $taxon->id.' '.$danger->id);
                }
            }
        }
    }

    public function testLeaningAndFairPlayAgreeWhereFairPlayCanStillCount(): void
    {
        // A dwarf elder and an examiner who misreads half of all looks: common enough to be counted outright.
        [$elder, $fruit] = self::elderFruit();
        $compiled = Starter::compiled();
        $goal = Goal::of(new Claim($elder, $fruit, []), DayOfYear::parse('09-15'));
        $desk = new Desk($compiled, Phenology::at($compiled->flora, $compiled->flora->reference), $goal, new \DateTimeImmutable('2027-09-15'));
        $rehearser = new Rehearser($desk, Eye::of(ExaminerKind::Careless, $compiled), new TreeKind($compiled, 'sambucus-nigra', true));
        $random = new Randomizer(new Xoshiro256StarStar(str_repeat('fair-or-leaning?', 2)));
        [$fair, $leaning] = [0.0, 0.0];
        for ($n = 0; $n < 1500; ++$n) {
            $fair += (float) $rehearser->play(Chance::fair($random))->cleared / 1500;
            $course = $rehearser->play(Chance::leaning($random));
            $leaning += $course->cleared ? $course->weight / 1500 : 0.0;
        }
        self::assertGreaterThan(0.02, $fair);
        self::assertEqualsWithDelta($fair, $leaning, 4 * sqrt($fair / 1500) + 0.1 * $fair);
    }

    public function testACarefulExaminerIsClearedForRightTreesAndWorseExaminersLessOften(): void
    {
        $rehearsal = new Rehearsal(Starter::flora(), 1, 60);
        $cornel = Starter::flora()->taxon('cornus-mas');
        $share = static fn (ExaminerKind $kind): float => $rehearsal->right($cornel, $cornel->part('fruit'), 9, DayOfYear::parse('09-15'), $kind)->cleared->share();
        self::assertGreaterThanOrEqual(0.85, $share(ExaminerKind::Careful));
        self::assertLessThan($share(ExaminerKind::Careful), $share(ExaminerKind::Careless));
    }

    public function testATreeTheFloraDoesNotHoldIsClearedAsNothing(): void
    {
        $outsiders = (new Rehearsal(Starter::flora(), 1, 60))->outsiders(Starter::flora()->taxon('taxus-baccata'), ExaminerKind::Careful);
        self::assertSame(0, $outsiders->cleared->events);
        self::assertGreaterThan(0.9, $outsiders->recognised->share());
        self::assertLessThan(1e-5, $outsiders->bound);
    }

    public function testADangerousTreeTheFloraIsSilentOnShowsWhatIsHopedFor(): void
    {
        $goal = Goal::of(new Claim(Starter::flora()->taxon('sorbus-aucuparia'), Starter::flora()->taxon('sorbus-aucuparia')->part('fruit'), []), DayOfYear::parse('09-15'));
        $worst = (new TreeKind(Starter::compiled(), 'taxus-baccata', true))->showing('flower.colour', $goal);
        self::assertEquals(Showing::of(Starter::compiled()->characters['flower.colour'], Starter::compiled()->numbers['sorbus-aucuparia']), $worst);
        self::assertNull((new TreeKind(Starter::compiled(), 'sorbus-aucuparia', true))->showing('leaf.bands', $goal), 'no needles, no bands');
    }

    public function testTheMonthsOfAPartAreThoseOfItsWindow(): void
    {
        [, $fruit] = self::elderFruit();
        self::assertSame(['8' => '08-20', '9' => '09-15', '10' => '10-05'], array_map(strval(...), Rehearsal::months($fruit)));
    }

    private function bound(Taxon $taxon, Part $part, Taxon $danger): float
    {
        $compiled = Starter::compiled();
        $bound = 0.0;
        foreach (Rehearsal::months($part) as $day) {
            $goal = Goal::of(new Claim($taxon, $part, []), $day);
            $desk = new Desk($compiled, Phenology::at($compiled->flora, $compiled->flora->reference), $goal, new \DateTimeImmutable('2027-'.$day));
            $bound = max($bound, (new ExactBound(Eye::of(ExaminerKind::Careful, $compiled)))->of(new TreeKind($compiled, $danger->id, true), $goal, $desk));
        }

        return $bound;
    }

    /** @return array{Taxon, Part} */
    private static function elderFruit(): array
    {
        $elder = Starter::flora()->taxon('sambucus-nigra');

        return [$elder, $elder->part('fruit')];
    }
}
