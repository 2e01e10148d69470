<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Examination\Agreement;
use Hylognosis\Measure\Proportion;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;

/** Kappa and intervals against scikit-learn and SciPy (Debian: python3-sklearn, python3-scipy). */
final class StatisticsTest extends TestCase
{
    private const PROPORTIONS = [
        [0, 1],
        [1, 1],
        [0, 20],
        [3, 20],
        [19, 20],
        [20, 20],
        [0, 300],
        [1, 300],
        [150, 300],
        [7, 5000],
        [0, 100000],
        [43, 100000],
    ];

    public function testAgainstTheReferenceLibraries(): void
    {
        $random = new Randomizer(new Mt19937(60));
        $pairs = [];
        for ($n = 0; $n < 8; ++$n) {
            $one = array_map(static fn (): string => 's'.$random->getInt(0, 2 + ($n % 3)), range(1, 40));
            $pairs[] = [
                $one,
                array_map(
                    static fn (string $state): string => $random->getInt(0, 9) < 7
                        ? $state
                        : 's'.$random->getInt(0, 2),
                    $one,
                ),
            ];
        }
        $process = new Process(
            ['/usr/bin/python3', __DIR__.'/statistics_reference.py'],
            input: json_encode(['pairs' => $pairs, 'proportions' => self::PROPORTIONS], \JSON_THROW_ON_ERROR),
        );
        $process->mustRun();
        /** @var array{kappa: list<float>, intervals: list<list<float>>} $reference */
        $reference = json_decode($process->getOutput(), true, flags: \JSON_THROW_ON_ERROR);
        foreach ($pairs as $i => [$one, $other]) {
            self::assertEqualsWithDelta($reference['kappa'][$i], Agreement::cohen($one, $other), 1e-12);
        }
        foreach (self::PROPORTIONS as $i => [$events, $trials]) {
            $proportion = Proportion::of($events, $trials);
            $here = [...$proportion->clopperPearson(), ...$proportion->wilson(), $proportion->upperBound()];
            foreach ($reference['intervals'][$i] as $k => $expected) {
                self::assertEqualsWithDelta(
                    $expected,
                    $here[$k],
                    1e-9,
                    \sprintf('%d of %d, figure %d', $events, $trials, $k),
                );
            }
        }
    }

    /**
     * Ten subjects, fourteen raters, five categories: the worked example printed in many textbooks (memory); kappa
     * 0.210.
     */
    public function testFleissOnThePrintedExample(): void
    {
        $table = [
            [0, 0, 0, 0, 14],
            [0, 2, 6, 4, 2],
            [0, 0, 3, 5, 6],
            [0, 3, 9, 2, 0],
            [2, 2, 8, 1, 1],
            [7, 7, 0, 0, 0],
            [3, 2, 6, 3, 0],
            [2, 5, 3, 2, 2],
            [6, 5, 2, 1, 0],
            [0, 2, 2, 3, 7],
        ];
        $counts = array_map(static fn (array $row): array => array_combine(['a', 'b', 'c', 'd', 'e'], $row), $table);
        self::assertEqualsWithDelta(0.21, Agreement::fleiss($counts), 0.0005);
    }

    /**
     * 125 specimens, two raters: 118 both say yes, none both no, 5 and 2 they differ. All but agree, and kappa is below
     * nothing (−0.0234); AC1 is 0.9408: the example with which Gwet shows the paradox (memory). Three raters by hand.
     */
    public function testGwetWhereKappaFallsToNothing(): void
    {
        $one = [...array_fill(0, 118, 'yes'), ...array_fill(0, 5, 'yes'), 'no', 'no'];
        $other = [...array_fill(0, 118, 'yes'), ...array_fill(0, 5, 'no'), 'yes', 'yes'];
        self::assertEqualsWithDelta(-0.0234, Agreement::cohen($one, $other), 0.0001);
        $counts = [
            ...array_fill(0, 118, ['yes' => 2, 'no' => 0]),
            ...array_fill(0, 7, ['yes' => 1, 'no' => 1]),
        ];
        self::assertEqualsWithDelta(0.9408, Agreement::gwet($counts), 0.0001);
        // a: 3 of 3; b: 2 of 3. Pa = (1 + 1/3) / 2; shares 5/6 and 1/6; Pe = 2 · 5/36
        $three = [['x' => 3, 'y' => 0], ['x' => 2, 'y' => 1]];
        self::assertEqualsWithDelta((2 / 3 - 10 / 36) / (1 - 10 / 36), Agreement::gwet($three), 1e-12);
        self::assertSame(1.0, Agreement::gwet([['x' => 2], ['x' => 3]]));
    }

    public function testTheRuleOfThree(): void
    {
        // J. A. Hanley & A. Lippman-Hand, JAMA 249 (1983) 1743 (memory): nothing in n trials, at most about 3/n.
        self::assertEqualsWithDelta(3 / 1000, Proportion::of(0, 1000)->upperBound(), 1e-5);
    }

    public function testRefusesWhatIsNoProportionAndNoComparison(): void
    {
        foreach (
            [
                static fn () => Proportion::of(3, 2),
                static fn () => Proportion::of(0, 0),
                static fn () => Agreement::cohen(['a'], []),
                static fn () => Agreement::fleiss([['a' => 2], ['a' => 3]]),
                static fn () => Agreement::gwet([['a' => 1]]),
                static fn () => Agreement::gwet([]),
            ] as $wrong
        ) {
            try {
                $wrong();
                self::fail('was taken');
            } catch (\InvalidArgumentException $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
    }
}
