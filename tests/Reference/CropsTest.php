<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use App\Library\CropTable;
use App\Library\FloraFiles;
use Hylognosis\Crop\CropAmounts;
use Hylognosis\Crop\CropGrade;
use Hylognosis\Crop\CropOutlook;
use Hylognosis\Crop\CropSigns;
use Hylognosis\Crop\Take;
use Hylognosis\Crop\TypicalCrop;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\NumberRange;
use Hylognosis\Measure\Amount;
use Hylognosis\Measure\AmountUnit;
use Hylognosis\Measure\Normal;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Cache\Adapter\NullAdapter;
use Symfony\Component\Process\Process;

/** How much a crop may bring: by hand, against general packages, and by how often the intervals hold. */
final class CropsTest extends TestCase
{
    /** docs/the-year.md: 1 to 6 kg in a good year, and 3.2 kg were once taken from the tree in one. */
    public function testAgainstAnExampleWorkedByHand(): void
    {
        $amounts = CropAmounts::of(self::signs([new Take('S1', 2026, 3200.0, CropGrade::Good)]));
        self::assertEqualsWithDelta(1.08298 + log(1000), $amounts->mean, 1e-4);
        self::assertEqualsWithDelta(0.49924, $amounts->spread, 1e-4);
        // another tree of the kind tells of it by the kind alone: 0.4 of the way
        $other = CropAmounts::of(self::signs([new Take('S2', 2026, 3200.0, CropGrade::Good)]));
        self::assertEqualsWithDelta(0.89588 + 0.4 * 0.26727 + log(1000), $other->mean, 1e-4);
    }

    public function testAgainstAGaussianProcessAndSciPy(): void
    {
        $random = new Randomizer(new Mt19937(1971));
        $spread = log(6) / (2 * Normal::EIGHTY);
        [$kind, $tree, $rest] = [0.4 * $spread ** 2, 0.3 * $spread ** 2, 0.3 * $spread ** 2];
        $takes = $rows = $logs = $noise = [];
        $variance = ['kind' => $kind];
        foreach (['S1', 'S1', 'S2', 'S3', 'S3', 'S3', 'S4'] as $i => $of) {
            $grade = [CropGrade::Good, CropGrade::Fair, CropGrade::Poor, null][$random->getInt(0, 3)];
            $amount = $random->getInt(200, 6000);
            $takes[] = new Take($of, 2019 + $i, $amount, $grade);
            $rows[] = ['kind' => 1, $of => 1];
            $logs[] = log($amount / ($grade?->share() ?? 0.6));
            $noise[] = $rest + (null === $grade ? 0.25 : 0.0);
            $variance[$of] = $tree;
        }
        foreach ([[2026 => CropGrade::Good], [2020 => CropGrade::Good, 2021 => CropGrade::None], []] as $grades) {
            $signs = self::signs($takes, $grades, NumberRange::parse('2–5'));
            $outlook = CropOutlook::of($signs);
            $amounts = CropAmounts::of($signs);
            $process = new Process(
                ['/usr/bin/python3', __DIR__.'/crops.py'],
                input: json_encode(
                    [
                        'rows' => $rows,
                        'logs' => $logs,
                        'noise' => $noise,
                        'ask' => ['kind' => 1, 'S1' => 1],
                        'variance' => $variance,
                        'rest' => $rest,
                        'mean' => log(6) / 2 + log(1000),
                        'none' => $outlook->chances['none'],
                        'grades' => array_map(
                            static fn (CropGrade $g): array => [$outlook->chances[$g->value], $g->share()],
                            [CropGrade::Poor, CropGrade::Fair, CropGrade::Good],
                        ),
                        'normal' => [-3.1, -1.0, -0.2, 0.0, 0.7, 1.96, 4.0],
                    ],
                    \JSON_THROW_ON_ERROR,
                ),
            );
            $process->mustRun();
            /** @var array{mean: float, spread: float, quantiles: list<float>, normal: list<float>} $theirs */
            $theirs = json_decode($process->getOutput(), true, flags: \JSON_THROW_ON_ERROR);
            self::assertEqualsWithDelta($theirs['mean'], $amounts->mean, 1e-6);
            self::assertEqualsWithDelta($theirs['spread'], $amounts->spread, 1e-6);
            foreach ($theirs['quantiles'] as $i => $quantile) {
                self::assertEqualsWithDelta($quantile, $outlook->amounts[$i], 1e-3 * $quantile + 1e-9);
            }
            foreach ([-3.1, -1.0, -0.2, 0.0, 0.7, 1.96, 4.0] as $i => $deviations) {
                self::assertEqualsWithDelta($theirs['normal'][$i], Normal::below($deviations), 2e-7);
            }
        }
    }

    /** Schools drawn from the model: what a year brings lies between the outer figures eight times of ten. */
    public function testTheIntervalHoldsAsOftenAsItSays(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $normal = static fn (float $sd): float => $sd *
            sqrt(-2 * log($random->getInt(1, 1_000_000) / 1_000_001)) *
            cos((2 * \M_PI * $random->getInt(1, 1_000_000)) / 1_000_001);
        $spread = log(6) / (2 * Normal::EIGHTY);
        $share = static fn (float $of): float => sqrt($of) * $spread;
        $in = $asked = 0;
        for ($school = 0; $school < 600; ++$school) {
            $kind = log(1000) + log(6) / 2 + $normal($share(0.4));
            $trees = ['S1' => $kind + $normal($share(0.3)), 'S2' => $kind + $normal($share(0.3))];
            $takes = [];
            foreach ($trees as $tree => $own) {
                foreach ([2024, 2025, 2026] as $year) {
                    $grade = [CropGrade::Poor, CropGrade::Fair, CropGrade::Good][$random->getInt(0, 2)];
                    $takes[] = new Take($tree, $year, exp($own + $normal($share(0.3))) * $grade->share(), $grade);
                }
            }
            $outlook = CropOutlook::of(self::signs($takes, [], NumberRange::parse('1')));
            $drawn = $random->getInt(0, 999) / 1000;
            $grade = CropGrade::None;
            foreach (CropGrade::cases() as $case) {
                $drawn -= $outlook->chances[$case->value];
                if ($drawn < 0) {
                    $grade = $case;
                    break;
                }
            }
            $amount = exp($trees['S1'] + $normal($share(0.3))) * $grade->share();
            ++$asked;
            $in += $amount >= $outlook->amounts[0] && $amount <= $outlook->amounts[2] ? 1 : 0;
        }
        self::assertEqualsWithDelta(0.8, $in / $asked, 0.05);
    }

    /** What the table names is a part that may be taken in some flora that ships, and its rivals have days. */
    public function testTheTableSpeaksOfPartsThatAre(): void
    {
        $parts = [];
        foreach ((array) glob(\dirname(__DIR__, 2).'/flora/*/flora.yaml') as $file) {
            [$flora] = (new FloraFiles())->load(\dirname((string) $file));
            foreach ($flora->taxa as $taxon) {
                foreach ($taxon->parts as $part) {
                    if (null !== $part->timing) {
                        $parts[] = $taxon->id.'/'.$part->id;
                    }
                }
            }
        }
        $table = new CropTable(\dirname(__DIR__, 2).'/flora/crops.yaml', new NullAdapter());
        self::assertSame([], array_diff(array_keys($table->all()), $parts));
        self::assertSame([-2.2, -3.9], $table->frost(), 'full bloom of apple, EB0913 (memory)');
        foreach ($table->all() as $id => $crop) {
            self::assertSame([] === $crop->rivals, null === $crop->lasts, $id);
        }
    }

    /**
     * @param list<Take>            $takes
     * @param array<int, CropGrade> $grades
     */
    private static function signs(array $takes, array $grades = [], ?NumberRange $interval = null): CropSigns
    {
        return new CropSigns(
            'S1',
            2027,
            new TypicalCrop(
                Amount::of(1, AmountUnit::Kilograms),
                Amount::of(6, AmountUnit::Kilograms),
                [],
                null,
                false,
            ),
            null === $interval ? [] : ['mast-interval' => $interval],
            stage: LifeStage::Mature,
            male: false,
            grades: $grades,
            takes: $takes,
        );
    }
}
