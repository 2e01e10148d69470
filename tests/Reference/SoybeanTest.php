<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Identification\Identifier;
use Hylognosis\Identification\NextLook;
use Hylognosis\Identification\Outlook;
use Hylognosis\Identification\Tempering;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Season\Phenology;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;

/** The engine on data nobody here made: source and licence in data/soybean.R, the reference in soybean_nb.py. */
final class SoybeanTest extends TestCase
{
    private static ?Soybean $data = null;

    private static function data(): Soybean
    {
        return self::$data ??= new Soybean();
    }

    public function testIsNoWorseThanCategoricalNaiveBayesUnderTheSameCrossValidation(): void
    {
        $data = self::data();
        $names = array_keys($data->values);
        $codes = array_map(array_flip(...), $data->values);
        $process = new Process(
            ['/usr/bin/python3', __DIR__.'/soybean_nb.py'],
            input: json_encode(
                [
                    'cases' => array_map(
                        static fn (array $case): array => array_map(
                            static fn (string $name): int => isset($case[$name]) ? $codes[$name][$case[$name]] : -1,
                            $names,
                        ),
                        $data->cases,
                    ),
                    'classes' => array_map(
                        static fn (string $class): int => (int) array_search(
                            $class,
                            array_values(array_unique($data->classes)),
                            true,
                        ),
                        $data->classes,
                    ),
                    'folds' => $data->folds,
                    'values' => array_map(\count(...), array_values($data->values)),
                ],
                \JSON_THROW_ON_ERROR,
            ),
        );
        $process->mustRun();
        /** @var array{left_out: float, as_value: float} $reference */
        $reference = json_decode($process->getOutput(), true, flags: \JSON_THROW_ON_ERROR);
        // Untempered, the two models coincide: the same cases must come out right.
        self::assertEqualsWithDelta($reference['left_out'], Calibration::of($data, 0.0)->accuracy, 1e-12);
        self::assertGreaterThanOrEqual($reference['left_out'], Calibration::of($data, Tempering::EXPONENT)->accuracy);
        self::assertGreaterThanOrEqual($reference['as_value'], Calibration::of($data, Tempering::EXPONENT)->accuracy);
    }

    public function testTheExponentOfTemperingIsTheOneThatCalibratesBest(): void
    {
        $chosen = Calibration::of(self::data(), Tempering::EXPONENT);
        foreach ([0.0, 0.1, 0.5, 0.7] as $other) {
            self::assertLessThan(Calibration::of(self::data(), $other)->logLoss, $chosen->logLoss, (string) $other);
        }
        self::assertLessThan(0.04, $chosen->error);
    }

    public function testTheNextLookNamesSoonerThanLooksInRandomOrder(): void
    {
        $suggested = self::rightAfter(10, null);
        $random = self::rightAfter(10, new Randomizer(new Mt19937(683)));
        foreach ([3, 5, 8] as $looks) {
            self::assertGreaterThan($random[$looks] + 0.1, $suggested[$looks], $looks.' looks');
        }
        self::assertGreaterThan(0.8, $suggested[10]);
    }

    /**
     * @return list<float> share named rightly after 0, 1, 2 … looks, on every fifth case, learnt from the other folds
     */
    public static function rightAfter(int $most, ?Randomizer $random): array
    {
        $data = self::data();
        $right = array_fill(0, $most + 1, 0);
        $tried = 0;
        for ($fold = 0; $fold < Soybean::FOLDS; ++$fold) {
            $compiled = $data->learnt($fold);
            $outlook = Outlook::unhindered(
                DayOfYear::parse('06-14'),
                Phenology::at($compiled->flora, $compiled->flora->reference),
            );
            foreach (array_keys($data->folds, $fold, true) as $n => $case) {
                if (0 !== $n % 5) {
                    continue;
                }
                ++$tried;
                $known = array_keys($data->cases[$case]);
                $order = null === $random ? [] : $random->shuffleArray($known);
                $looked = [];
                for ($looks = 0; $looks <= $most; ++$looks) {
                    $identification = (new Identifier())->identify(
                        $compiled,
                        $data->examination($compiled->flora, $case, $looked),
                    );
                    $right[$looks] += (int) ($identification->leader()->taxon === $data->classes[$case]);
                    $next = $order[$looks] ?? null;
                    if (null === $random) {
                        // what was not recorded cannot be looked at
                        foreach ((new NextLook())->suggest($identification, $outlook, null, 35) as $suggestion) {
                            if (\in_array($suggestion->character->id, $known, true)) {
                                $next = $suggestion->character->id;
                                break;
                            }
                        }
                    }
                    if (null !== $next) {
                        $looked[] = $next;
                    }
                }
            }
        }

        return array_map(static fn (int $n): float => $n / $tried, array_values($right));
    }
}
