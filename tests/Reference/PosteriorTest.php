<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Identification;
use Hylognosis\Identification\Identifier;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;

final class PosteriorTest extends TestCase
{
    /**
     * The example of docs/how-it-decides.md, reckoned by hand. Uniform prior 0.45 each, 0.1 for something else; both
     * characters misread once in ten. Of X one look in twenty finds b, of Y one finds a: the description error.
     *
     *   read a:  X 0.9·0.95 + 0.1·0.05 = 0.86    Y 0.9·0.05 + 0.1·0.95 = 0.14    else (½ + 1 + 0)/3 = 0.5
     *   read c:  X 0.9·0.8 + 0.1·0.2 = 0.74      Y 0.9·0.5 + 0.1·0.5 = 0.50      else (½ + 0.8 + 0.5)/3 = 0.6
     *   sum 0.28638 + 0.03150 + 0.03000 = 0.34788: X 0.82321, Y 0.09055, something else 0.08624
     */
    public function testAgainstAnExampleWorkedByHand(): void
    {
        $flora = TableFlora::of(
            [
                'X' => ['one' => ['a' => 1.0, 'b' => 0.0], 'two' => ['c' => 0.8, 'd' => 0.2]],
                'Y' => ['one' => ['a' => 0.0, 'b' => 1.0], 'two' => ['c' => 0.5, 'd' => 0.5]],
            ],
            0.1,
        );
        $identification = self::identify($flora, ['one' => 'a', 'two' => 'c']);
        self::assertEqualsWithDelta(0.28638 / 0.34788, $identification->posteriorOf('X'), 1e-12);
        self::assertEqualsWithDelta(0.0315 / 0.34788, $identification->posteriorOf('Y'), 1e-12);
        self::assertEqualsWithDelta(0.03 / 0.34788, $identification->unlisted, 1e-12);
    }

    /**
     * Where the models coincide (nothing misread, one character to an organ, the taxa alone compared) the posterior is
     * that of categorical naive Bayes with a uniform prior. Source: scikit-learn's CategoricalNB, see
     * categorical_nb.py.
     */
    public function testAgainstCategoricalNaiveBayesOnTheSameTable(): void
    {
        $random = new Randomizer(new Mt19937(1742));
        [$specimens, $classes, $counts] = [[], [], []];
        for ($class = 0; $class < 5; ++$class) {
            for ($n = 0; $n < 12; ++$n) {
                $row = array_map(
                    static fn (int $c): int => min($random->getInt(0, 3), $random->getInt(0, 1 + (($class + $c) % 4))),
                    range(0, 5),
                );
                [$specimens[], $classes[]] = [$row, $class];
                foreach ($row as $c => $state) {
                    $counts[$class][$c][$state] = ($counts[$class][$c][$state] ?? 0) + 1;
                }
            }
        }
        $table = [];
        foreach ($counts as $class => $characters) {
            foreach ($characters as $c => $states) {
                foreach (range(0, 3) as $state) {
                    // Laplace's rule, as the reference has it with alpha = 1
                    $table['t'.$class]['c'.$c]['s'.$state] = (($states[$state] ?? 0) + 1) / (12 + 4);
                }
            }
        }
        $queries = array_map(
            static fn (): array => array_map(static fn (): int => $random->getInt(0, 3), range(0, 5)),
            range(1, 40),
        );
        $process = new Process(
            ['/usr/bin/python3', __DIR__.'/categorical_nb.py'],
            input: json_encode(
                [
                    'alpha' => 1.0,
                    'categories' => 4,
                    'specimens' => $specimens,
                    'classes' => $classes,
                    'queries' => $queries,
                ],
                \JSON_THROW_ON_ERROR,
            ),
        );
        $process->mustRun();
        /** @var array{posterior: list<list<float>>} $reference */
        $reference = json_decode($process->getOutput(), true, flags: \JSON_THROW_ON_ERROR);
        $flora = TableFlora::of($table, 0.0);
        foreach ($queries as $q => $states) {
            $scores = [];
            foreach ($states as $c => $state) {
                $scores['c'.$c] = 's'.$state;
            }
            $identification = self::identify($flora, $scores);
            foreach ($reference['posterior'][$q] as $class => $expected) {
                self::assertEqualsWithDelta(
                    $expected,
                    $identification->posteriorOf('t'.$class) / (1 - $identification->unlisted),
                    1e-9,
                );
            }
        }
    }

    /** @param array<string, string> $scores */
    private static function identify(Flora $flora, array $scores): Identification
    {
        $observations = [];
        foreach ($scores as $character => $state) {
            $observations[] = Observation::ofStates(
                $flora->character($character),
                [$state],
                Certainty::Sure,
                1,
                Whereabouts::Tree,
            );
        }

        return (new Identifier())->identify(
            CompiledFlora::of($flora, LifeStage::Mature),
            Examination::of(
                new \DateTimeImmutable('2027-06-14'),
                LifeStage::Mature,
                ExaminerRole::Instructor,
                $observations,
            ),
        );
    }
}
