<?php

declare(strict_types=1);

namespace App\Tests\Core\Rehearsal;

use App\Tests\Support\Starter;
use Hylognosis\Clearance\Claim;
use Hylognosis\Examination\Dispute;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Taxon;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Measure\DayOfYear;
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
use Hylognosis\Season\Phenology;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

final class RehearsalTest extends TestCase
{
    public function testTheSameSeedGivesTheSameFigures(): void
    {
        [$elder, $fruit] = self::elderFruit();
        $figures = static fn (int $seed) => (new Rehearsal(Starter::flora(), $seed, 40))->passing(
            $elder,
            $fruit,
            Starter::flora()->taxon('sambucus-ebulus'),
            Rehearsal::months($fruit),
            ExaminerKind::Careless,
        );
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
                    $passing = $rehearsal->passing(
                        $taxon,
                        $part,
                        $danger,
                        Rehearsal::months($part),
                        ExaminerKind::Careful,
                    );
                    // sampled, so a little above is chance
                    self::assertLessThanOrEqual(
                        1.5 * $this->bound($taxon, $part, $danger),
                        $passing->estimate ?? 0.0,
                        $taxon->id.' '.$danger->id,
                    );
                }
            }
        }
    }

    public function testLeaningAndFairPlayAgreeWhereFairPlayCanStillCount(): void
    {
        // A dwarf elder and an examiner who misreads half of all looks: common enough to be counted outright.
        [$elder, $fruit] = self::elderFruit();
        $compiled = Starter::compiled();
        $goal = new Goal(new Claim($elder, $fruit, []), DayOfYear::parse('09-15'));
        $desk = new Desk(
            $compiled,
            Phenology::at($compiled->flora, $compiled->flora->reference),
            $goal,
            new \DateTimeImmutable('2027-09-15'),
        );
        $rehearser = new Rehearser(
            $desk,
            Eye::of(ExaminerKind::Careless, $compiled),
            new TreeKind($compiled, 'sambucus-nigra', true),
        );
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
        $share = static fn (ExaminerKind $kind): float => $rehearsal
            ->right($cornel, $cornel->part('fruit'), 9, DayOfYear::parse('09-15'), $kind)
            ->cleared->share();
        self::assertGreaterThanOrEqual(0.85, $share(ExaminerKind::Careful));
        self::assertLessThan($share(ExaminerKind::Careful), $share(ExaminerKind::Careless));
    }

    public function testATreeTheFloraDoesNotHoldIsClearedAsNothing(): void
    {
        $outsiders = (new Rehearsal(Starter::flora(), 1, 60))->outsiders(
            Starter::flora()->taxon('taxus-baccata'),
            ExaminerKind::Careful,
        );
        self::assertSame(0, $outsiders->cleared->events);
        self::assertGreaterThan(0.9, $outsiders->recognised->share());
        self::assertLessThan(1e-5, $outsiders->bound);
    }

    public function testAHopeForAGroupTheOutsiderBelongsToIsNoTest(): void
    {
        $group = [
            'groups' => [
                ['id' => 'conifers', 'name' => 'firs and spruces', 'members' => ['abies-alba', 'picea-abies']],
            ],
            'taxa/abies-alba/parts/young-shoot/group' => 'conifers',
        ];
        $hoped = static function (Flora $flora): string {
            return (new Rehearsal($flora, 1, 20))->outsiders($flora->taxon('picea-abies'), ExaminerKind::Careful)->as;
        };
        self::assertSame('abies-alba/young-shoot', $hoped(Starter::flora()));
        self::assertStringStartsNotWith(
            'abies-alba/',
            $hoped(Starter::changed($group)),
            'that it is a fir or a spruce would be true',
        );
    }

    public function testSaysWhatStoodInTheWayOfARightTree(): void
    {
        // A hornless list: half the trees have a pith the list refuses.
        $flora = Starter::changed([
            'taxa/cornus-mas/description/twig.pith' => ['narrow' => 'often', 'white-wide' => 'often'],
        ]);
        $right = (new Rehearsal($flora, 1, 40))->right(
            $flora->taxon('cornus-mas'),
            $flora->taxon('cornus-mas')->part('fruit'),
            9,
            DayOfYear::parse('09-15'),
            ExaminerKind::Careful,
        );
        self::assertLessThan(0.7, $right->cleared->share());
        self::assertSame('twig.pith', array_key_first($right->inTheWay));
        self::assertLessThanOrEqual($right->cleared->trials - $right->cleared->events, $right->inTheWay['twig.pith']);
    }

    public function testOfARightTreeTheFruitIsAsRipeAsItIsWanted(): void
    {
        $number = array_search('fruit.colour', array_keys(Starter::flora()->characters), true);
        $flora = Starter::changed([
            'characters/'.$number.'/ripens' => true,
            'taxa/cornus-mas/description/fruit.colour' => ['red' => 'often', 'green' => 'often'],
            'taxa/cornus-mas/parts/fruit/required' => [
                ['character' => 'fruit.colour', 'states' => ['red'], 'samples' => 2],
                ['character' => 'leaf.kind', 'states' => ['simple'], 'samples' => 2],
            ],
        ]);
        $compiled = CompiledFlora::of($flora, LifeStage::Mature);
        $goal = new Goal(
            new Claim($flora->taxon('cornus-mas'), $flora->taxon('cornus-mas')->part('fruit'), []),
            DayOfYear::parse('09-15'),
        );
        self::assertSame(
            ['red'],
            (new TreeKind($compiled, 'cornus-mas', false))->showing('fruit.colour', $goal)?->values,
        );
        self::assertEqualsCanonicalizing(
            ['red', 'green'],
            Showing::of($compiled->characters['fruit.colour'], $compiled->numbers['cornus-mas'], null, 0.0)->values ??
                [],
        );
    }

    public function testFiveLooksAtOneCharacterAreReckonedExactly(): void
    {
        // Against counting every course of up to five looks, each fresh or a repetition of the one before.
        foreach ([0.001, 0.05, 0.3, 0.9] as $accepted) {
            $stands = 0.0;
            foreach ([[true, $accepted], [false, 1 - $accepted]] as [$last, $p]) {
                $stands += self::courses($last, $last ? 1 : -1, 1, $p, $accepted);
            }
            self::assertEqualsWithDelta($stands, ExactBound::withinTheLooks($accepted), 1e-12);
        }
    }

    /** Probability that accepted looks come to stand, from here on. */
    private static function courses(bool $last, int $lead, int $looks, float $p, float $accepted): float
    {
        if (($last && 1 === $looks) || $lead > 0) {
            return $p;
        }
        if (Dispute::MOST_LOOKS === $looks) {
            return 0.0;
        }
        $sum = 0.0;
        foreach ([true, false] as $next) {
            $fresh = (1 - Eye::REPEATS) * ($next ? $accepted : 1 - $accepted);
            $sum += self::courses(
                $next,
                $lead + ($next ? 1 : -1),
                $looks + 1,
                $p * ($fresh + ($next === $last ? Eye::REPEATS : 0.0)),
                $accepted,
            );
        }

        return $sum;
    }

    public function testADangerousTreeTheFloraIsSilentOnShowsWhatIsHopedFor(): void
    {
        $goal = new Goal(
            new Claim(
                Starter::flora()->taxon('sorbus-aucuparia'),
                Starter::flora()->taxon('sorbus-aucuparia')->part('fruit'),
                [],
            ),
            DayOfYear::parse('09-15'),
        );
        $worst = (new TreeKind(Starter::compiled(), 'taxus-baccata', true))->showing('flower.colour', $goal);
        self::assertEquals(
            Showing::of(
                Starter::compiled()->characters['flower.colour'],
                Starter::compiled()->numbers['sorbus-aucuparia'],
            ),
            $worst,
        );
        self::assertNull(
            (new TreeKind(Starter::compiled(), 'sorbus-aucuparia', true))->showing('leaf.bands', $goal),
            'no needles, no bands',
        );
    }

    public function testTheMonthsOfAPartAreThoseInWhichItsTreeIsExamined(): void
    {
        [, $fruit] = self::elderFruit();
        self::assertSame(
            ['8' => '08-20', '9' => '09-15', '10' => '10-05'],
            array_map(strval(...), Rehearsal::months($fruit)),
        );
        $flora = Starter::changed(['taxa/sambucus-nigra/parts/fruit/identified' => ['05-20', '06-10']]);
        self::assertSame(
            ['5' => '05-20', '6' => '06-10'],
            array_map(strval(...), Rehearsal::months($flora->taxon('sambucus-nigra')->part('fruit'))),
        );
    }

    private function bound(Taxon $taxon, Part $part, Taxon $danger): float
    {
        $compiled = Starter::compiled();
        $bound = 0.0;
        foreach (Rehearsal::months($part) as $day) {
            $goal = new Goal(new Claim($taxon, $part, []), $day);
            $desk = new Desk(
                $compiled,
                Phenology::at($compiled->flora, $compiled->flora->reference),
                $goal,
                new \DateTimeImmutable('2027-'.$day),
            );
            $bound = max(
                $bound,
                (new ExactBound(Eye::of(ExaminerKind::Careful, $compiled)))->of(
                    new TreeKind($compiled, $danger->id, true),
                    $goal,
                    $desk,
                ),
            );
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
