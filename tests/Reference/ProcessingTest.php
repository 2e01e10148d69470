<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Measure\Length;
use Hylognosis\Measure\Mass;
use Hylognosis\Measure\Proportion;
use Hylognosis\Measure\Temperature;
use Hylognosis\Measure\Volume;
use Hylognosis\Processing\AirDrying;
use Hylognosis\Processing\Cord;
use Hylognosis\Processing\Firewood;
use Hylognosis\Processing\GroundLife;
use Hylognosis\Processing\Leaching;
use Hylognosis\Processing\LogWorth;
use Hylognosis\Processing\Moisture;
use Hylognosis\Processing\NutYield;
use Hylognosis\Processing\Portions;
use Hylognosis\Processing\Preserve;
use Hylognosis\Processing\SawLog;
use Hylognosis\Processing\Shrinkage;
use Hylognosis\Processing\StandingStem;
use Hylognosis\Weather\DailyWeather;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What people reckon in the head, against tables and worked examples; the source beside each. */
final class ProcessingTest extends TestCase
{
    /**
     * Wood Handbook, table 4–2, by °F: percent on dry basis at 5, 10 … 95 % of humidity (memory). The 20 °C of
     * European standards lie between the rows of 60 and 70 °F.
     */
    private const EQUILIBRIUM = [
        30 => [1.4, 2.6, 3.7, 4.6, 5.5, 6.3, 7.1, 7.9, 8.7, 9.5, 10.4, 11.3, 12.4, 13.5, 14.9, 16.5, 18.5, 21.0, 24.3],
        40 => [1.4, 2.6, 3.7, 4.6, 5.5, 6.3, 7.1, 7.9, 8.7, 9.5, 10.4, 11.3, 12.3, 13.5, 14.9, 16.5, 18.5, 21.0, 24.3],
        50 => [1.4, 2.6, 3.6, 4.6, 5.5, 6.3, 7.1, 7.9, 8.7, 9.5, 10.3, 11.2, 12.3, 13.4, 14.8, 16.4, 18.4, 20.9, 24.3],
        60 => [1.3, 2.5, 3.6, 4.6, 5.4, 6.2, 7.0, 7.8, 8.6, 9.4, 10.2, 11.1, 12.1, 13.3, 14.6, 16.2, 18.2, 20.7, 24.1],
        70 => [1.3, 2.5, 3.5, 4.5, 5.4, 6.2, 6.9, 7.7, 8.5, 9.2, 10.1, 11.0, 12.0, 13.1, 14.4, 16.0, 17.9, 20.5, 23.9],
        80 => [1.3, 2.4, 3.5, 4.4, 5.3, 6.1, 6.8, 7.6, 8.3, 9.1, 9.9, 10.8, 11.7, 12.9, 14.2, 15.7, 17.7, 20.2, 23.6],
        90 => [1.2, 2.3, 3.4, 4.3, 5.1, 5.9, 6.7, 7.4, 8.1, 8.9, 9.7, 10.5, 11.5, 12.6, 13.9, 15.4, 17.3, 19.8, 23.3],
        100 => [1.2, 2.3, 3.3, 4.2, 5.0, 5.8, 6.5, 7.2, 7.9, 8.7, 9.5, 10.3, 11.2, 12.3, 13.6, 15.1, 17.0, 19.5, 22.9],
    ];

    public function testEquilibriumMoistureAsTheWoodHandbookPrintsIt(): void
    {
        $worst = 0.0;
        foreach (self::EQUILIBRIUM as $fahrenheit => $row) {
            foreach ($row as $i => $percent) {
                $humidity = 5 * ($i + 1);
                $found = 100 * Moisture::ofWoodIn(Temperature::fahrenheit($fahrenheit), $humidity / 100)->onDryBasis();
                self::assertEqualsWithDelta($percent, $found, 0.3, "$fahrenheit °F, $humidity %");
                $worst = max($worst, 70 === $fahrenheit ? abs($percent - $found) : 0.0);
            }
        }
        self::assertLessThan(0.1, $worst, 'the row of 70 °F');
        foreach (self::EQUILIBRIUM[70] as $i => $percent) {
            self::assertEqualsWithDelta(
                0.8 * $percent + 0.2 * self::EQUILIBRIUM[60][$i], // 20 °C are 68 °F
                100 * Moisture::ofWoodIn(Temperature::celsius(20), ($i + 1) / 20)->onDryBasis(),
                0.12,
                '20 °C',
            );
        }
        // "20/65": by European standards wood comes to 12 % there
        self::assertEqualsWithDelta(0.12, Moisture::ofWoodIn(Temperature::celsius(20), 0.65)->onDryBasis(), 0.001);
        $this->expectException(\InvalidArgumentException::class);
        Moisture::ofWoodIn(Temperature::celsius(20), 0.99);
    }

    /** u = w/(1 − w): any handbook. Half of it water is as much water as dry wood. */
    public function testWetAndDryBasis(): void
    {
        self::assertEqualsWithDelta(1.0, Moisture::wetBasis(0.5)->onDryBasis(), 1e-12);
        self::assertEqualsWithDelta(0.2, Moisture::dryBasis(0.25)->onWetBasis(), 1e-12);
        // 10 kg of nuts at 40 % of water hold 6 kg that is dry: at 10 % they weigh 6/0.9
        $dry = Moisture::wetBasis(0.4)->weightAt(Moisture::wetBasis(0.1), Mass::ofKilograms(10));
        self::assertEqualsWithDelta(6.6667, $dry->kilograms(), 1e-4);
    }

    /** Balance of mass, by hand: 1 kg of water held and 4 kg poured on leave a fifth each time. */
    public function testLeaching(): void
    {
        $leaching = new Leaching(Mass::ofKilograms(1), Mass::ofKilograms(4));
        self::assertEqualsWithDelta(0.008, $leaching->leftAfter(3), 1e-12);
        self::assertSame(3, $leaching->changesTo(0.01));
        self::assertSame(3, $leaching->changesTo(0.008));
        self::assertEqualsWithDelta(
            (1.2 / 5.2) ** 6,
            Leaching::ofMeal(Mass::ofKilograms(1), Mass::ofKilograms(4))->leftAfter(6),
            1e-12,
        );
    }

    /** (soluble + sugar)/0.65, common practice: a kilogram of juice of 10 % and 700 g of sugar make 1.23 kg. */
    public function testPreserves(): void
    {
        $jelly = Preserve::of(Mass::ofKilograms(1), 0.1, Mass::ofKilograms(0.7));
        self::assertEqualsWithDelta(0.8 / 0.65, $jelly->made->kilograms(), 1e-9);
        self::assertEqualsWithDelta(1.7 - 0.8 / 0.65, $jelly->boilOff->kilograms(), 1e-9);
        $sugar = Preserve::sugarFor(Mass::ofKilograms(1), 0.1, 0.65);
        self::assertEqualsWithDelta(0.0, Preserve::of(Mass::ofKilograms(1), 0.1, $sugar)->boilOff->grams, 1e-6);
        self::assertEqualsWithDelta(
            0.0,
            Preserve::of(Mass::ofKilograms(1), 0.1, Mass::ofKilograms(3))->boilOff->grams,
            1e-9,
            'what is too thick already does not get thinner',
        );
    }

    /** 33 of 40 sound, Clopper–Pearson 0.672 to 0.927 (SciPy, StatisticsTest). */
    public function testNutYield(): void
    {
        $yield = NutYield::of(Mass::ofKilograms(10), Proportion::of(33, 40), 0.4);
        self::assertEqualsWithDelta(3.3, $yield->kernels->kilograms(), 1e-9);
        self::assertEqualsWithDelta(2.69, $yield->interval[0]->kilograms(), 0.01);
        self::assertEqualsWithDelta(3.71, $yield->interval[1]->kilograms(), 0.01);
    }

    /** Common practice: a metre of cord of 3 mm takes some 6 g of bast. */
    public function testCord(): void
    {
        [$loose, $hard] = Cord::takesForAMetre(Length::ofMetres(0.003));
        self::assertLessThan(6.0, $loose->grams);
        self::assertGreaterThan(6.0, $hard->grams);
        [$short, $long] = Cord::lengthOf(Mass::ofGrams(60), Length::ofMetres(0.003));
        self::assertEqualsWithDelta(60 / $hard->grams, $short->metres(), 1e-9);
        self::assertGreaterThan($short->metres(), $long->metres());
        // twice as thick takes four times as much
        self::assertEqualsWithDelta(4.0, Cord::takesForAMetre(Length::ofMetres(0.006))[0]->grams / $loose->grams, 1e-9);
    }

    /** European solid-biofuel practice: about 4.0 kWh from a kilogram at 20 % of water (memory). */
    public function testHeatOfWood(): void
    {
        self::assertEqualsWithDelta(4.0, Firewood::heatOfAKilogram(Moisture::wetBasis(0.2)), 0.1);
        self::assertEqualsWithDelta(2.2, Firewood::heatOfAKilogram(Moisture::wetBasis(0.5)), 0.1, 'green wood');
        self::assertSame(0.0, Firewood::heatOfAKilogram(Moisture::wetBasis(0.95)));
        // beech, 720 kg air dry: some 2,100 kWh in a stacked cubic metre (common practice)
        $beech = Firewood::stacked(Volume::ofCubicMetres(1))->heat(720, Moisture::wetBasis(0.2));
        self::assertEqualsWithDelta(2100, $beech, 150);
        // black cherry: 20 to 20.5 million Btu from a cord (common practice); 1 kWh = 3,412 Btu, a cord 85 solid cubic feet
        $cherry = (Firewood::solid(Volume::ofCubicFeet(85))->heat(560, Moisture::wetBasis(0.17)) * 3412.14) / 1e6;
        self::assertEqualsWithDelta(20.2, $cherry, 1.7);
    }

    /** 1 cord = 128 ft³ stacked = 3.62 m³ (forestry convention); some 85 ft³ of it are solid. */
    public function testCordsAndCubicMetres(): void
    {
        $cord = Firewood::cords(1);
        self::assertEqualsWithDelta(3.6246, $cord->stackedVolume()->cubicMetres, 1e-3);
        self::assertEqualsWithDelta(1.0, $cord->inCords(), 1e-12);
        self::assertEqualsWithDelta(88, $cord->solid->cubicFeet(), 4);
    }

    /** @return iterable<string, array{float, float, float, float}> top inches, feet, Doyle, International ¼-inch */
    public static function logs(): iterable
    {
        // Doyle and International ¼-inch tables of state extension leaflets, the latter to the nearest five (memory)
        yield '12 in, 16 ft' => [12, 16, 64, 95];
        yield '16 in, 16 ft' => [16, 16, 144, 180];
        yield '20 in, 16 ft' => [20, 16, 256, 290];
        yield '10 in, 12 ft' => [10, 12, 27, 45];
        yield '24 in, 12 ft' => [24, 12, 300, 310];
    }

    #[DataProvider('logs')]
    public function testBoardFeet(float $inches, float $feet, float $doyle, float $international): void
    {
        $log = new SawLog(Length::ofInches($inches + 2), Length::ofInches($inches), Length::ofFeet($feet));
        self::assertEqualsWithDelta($doyle, $log->doyle(), 0.51);
        self::assertEqualsWithDelta($international, $log->international(), 5.0);
    }

    /** A cylinder has by every rule what it has; a cone by Smalian half as much more, by Huber three quarters. */
    public function testVolumesOfRoundThings(): void
    {
        $cylinder = new SawLog(Length::ofMetres(0.4), Length::ofMetres(0.4), Length::ofMetres(5));
        self::assertEqualsWithDelta(\M_PI * 0.04 * 5, $cylinder->smalian()->cubicMetres, 1e-9);
        self::assertEqualsWithDelta(
            $cylinder->smalian()->cubicMetres,
            SawLog::huber(Length::ofMetres(0.4), Length::ofMetres(5))->cubicMetres,
            1e-9,
        );
        $cone = (\M_PI * 0.04 * 6) / 3;
        $almost = new SawLog(Length::ofMetres(0.4), Length::ofMetres(1e-6), Length::ofMetres(6));
        self::assertEqualsWithDelta(1.5 * $cone, $almost->smalian()->cubicMetres, 1e-6);
        self::assertEqualsWithDelta(
            0.75 * $cone,
            SawLog::huber(Length::ofMetres(0.2), Length::ofMetres(6))->cubicMetres,
            1e-9,
        );
    }

    /** Common practice: four posts from a stem of 25 cm, one from 12 cm. */
    public function testPosts(): void
    {
        $stem = static fn (float $butt, float $top, float $length): SawLog => new SawLog(
            Length::ofMetres($butt),
            Length::ofMetres($top),
            Length::ofMetres($length),
        );
        $post = [Length::ofMetres(2.2), Length::ofMetres(0.11)];
        self::assertSame(4, $stem(0.27, 0.25, 2.2)->posts(...$post));
        self::assertSame(1, $stem(0.14, 0.12, 2.2)->posts(...$post));
        self::assertSame(0, $stem(0.14, 0.08, 2.2)->posts(...$post));
        self::assertSame(0, $stem(0.4, 0.3, 2.0)->posts(...$post), 'too short');
        self::assertGreaterThan(4, $stem(0.35, 0.25, 6.6)->posts(...$post));
        self::assertSame([25, 60], GroundLife::ofClass(1));
        $this->expectException(\InvalidArgumentException::class);
        GroundLife::ofClass(0);
    }

    /** Red oak shrinks by 8.6 % along the rings from green to dry (Wood Handbook, table 4–3; memory). */
    public function testShrinkage(): void
    {
        $oak = new Shrinkage(0.086);
        $board = $oak->width(Length::ofMetres(0.2), Moisture::dryBasis(0.8), Moisture::dryBasis(0.08));
        self::assertEqualsWithDelta(200 * (1 - (0.086 * 22) / 30), 1000 * $board->metres(), 1e-9);
        self::assertEqualsWithDelta(
            0.2,
            $oak->width($board, Moisture::dryBasis(0.08), Moisture::dryBasis(0.3))->metres(),
            1e-9,
            'and back again',
        );
    }

    /**
     * Diameter (in), height (ft) and volume (ft³) of 31 felled black cherries: the data set `trees` of R’s own
     * package `datasets` (Debian’s r-base-core), after Ryan, Joiner & Ryan, The Minitab Student Handbook (1976).
     */
    private const TREES = [
        [8.3, 70, 10.3],
        [8.6, 65, 10.3],
        [8.8, 63, 10.2],
        [10.5, 72, 16.4],
        [10.7, 81, 18.8],
        [10.8, 83, 19.7],
        [11, 66, 15.6],
        [11, 75, 18.2],
        [11.1, 80, 22.6],
        [11.2, 75, 19.9],
        [11.3, 79, 24.2],
        [11.4, 76, 21],
        [11.4, 76, 21.4],
        [11.7, 69, 21.3],
        [12, 75, 19.1],
        [12.9, 74, 22.2],
        [12.9, 85, 33.8],
        [13.3, 86, 27.4],
        [13.7, 71, 25.7],
        [13.8, 64, 24.9],
        [14, 78, 34.5],
        [14.2, 80, 31.7],
        [14.5, 74, 36.3],
        [16, 72, 38.3],
        [16.3, 77, 42.6],
        [17.3, 81, 55.4],
        [17.5, 82, 55.7],
        [17.9, 80, 58.3],
        [18, 80, 51.5],
        [18, 80, 51],
        [20.6, 87, 77],
    ];

    public function testStemsOfBlackCherryHoldWhatIsSaidOfThem(): void
    {
        $sum = $measured = 0.0;
        $outside = 0;
        foreach (self::TREES as [$inches, $feet, $cubicFeet]) {
            $stem = StandingStem::of(Length::ofInches($inches), Length::ofFeet($feet));
            $sum += $stem->likely->cubicFeet();
            $measured += $cubicFeet;
            $outside += $cubicFeet < $stem->least->cubicFeet() || $cubicFeet > $stem->most->cubicFeet() ? 1 : 0;
        }
        self::assertEqualsWithDelta($measured, $sum, 0.05 * $measured, 'all 31 together');
        self::assertLessThanOrEqual(2, $outside, 'of 31');
        $this->expectException(\InvalidArgumentException::class);
        StandingStem::of(Length::ofMetres(0.3), Length::ofMetres(1.0));
    }

    /**
     * Days to air-dry green lumber an inch thick to 20 %: white ash 60 to 200, basswood 40 to 150, red oak 70 to 200
     * ("Air Drying of Lumber", FPL-GTR-117, after the season; memory). Split firewood of 33 cm dries in one to two
     * summers, metre logs in two (common practice).
     */
    public function testHowLongWoodDriesInTheOpen(): void
    {
        $year = static function (string $from): array {
            // the Upper Midwest, where those times were taken: −9 °C in January, 21 °C in July, 70 % in the mean
            $days = [];
            for ($i = 0; $i < AirDrying::MOST_DAYS; ++$i) {
                $day = (new \DateTimeImmutable($from))->modify("+$i days");
                $wave = cos((2 * \M_PI * ((int) $day->format('z') - 200)) / 365);
                $days[] = new DailyWeather(
                    $day,
                    Temperature::celsius(6 + 15 * $wave - 6),
                    Temperature::celsius(6 + 15 * $wave + 6),
                    humidityPercent: 70.0 - 3 * $wave,
                );
            }

            return $days;
        };
        $green = [Moisture::dryBasis(0.8), Moisture::dryBasis(0.8)];
        $dry = Moisture::dryBasis(0.2);
        $board = static fn (float $density): AirDrying => new AirDrying(
            Length::ofInches(1),
            Length::ofMetres(3),
            $density,
        );
        $tables = ['ash' => [670, 60, 200], 'basswood' => [420, 40, 150], 'red oak' => [700, 70, 200]];
        foreach ($tables as $wood => [$kg, $least, $most]) {
            [$soonest, $summer] = $board($kg)->daysTo($green, $dry, [$year('2026-05-15')]);
            [, $autumn, $latest] = $board($kg)->daysTo($green, $dry, [$year('2026-09-15')]);
            self::assertEqualsWithDelta($least, $summer, 0.25 * $least, $wood.' in summer');
            self::assertEqualsWithDelta($most, $autumn, 0.25 * $most, $wood.' from autumn on');
            self::assertLessThan($least, $soonest);
            self::assertGreaterThan($most, $latest);
        }
        $split = new AirDrying(Length::ofMetres(0.1), Length::ofMetres(0.33), 690);
        [$soonest, , $latest] = $split->daysTo($green, Moisture::wetBasis(0.2), [$year('2026-03-15')]);
        self::assertGreaterThan(70, $soonest);
        self::assertLessThan(560, $latest, 'in the second summer at the latest');
        $metre = new AirDrying(Length::ofMetres(0.16), Length::ofMetres(1), 690);
        [$sooner] = $metre->daysTo($green, Moisture::wetBasis(0.2), [$year('2026-03-15')]);
        self::assertGreaterThan($soonest, $sooner);
        [$never] = $split->daysTo($green, Moisture::dryBasis(0.05), [$year('2026-03-15')]);
        self::assertNull($never, 'drier than the air it does not get');
        [$dryer, $damper] = $split->after($green[0], \array_slice($year('2026-03-15'), 0, 60));
        self::assertLessThan($damper->onDryBasis(), $dryer->onDryBasis());
        self::assertLessThan(0.8, $damper->onDryBasis());
        // a day on which nobody measured the humidity dries nothing
        $unknown = new DailyWeather(
            new \DateTimeImmutable('2026-06-01'),
            Temperature::celsius(10),
            Temperature::celsius(25),
        );
        self::assertEqualsWithDelta(0.8, $split->after($green[0], [$unknown])[0]->onDryBasis(), 1e-12);
    }

    /** By hand: 95 board feet are 0.224 m³; of what is not board seven tenths are slabs. */
    public function testWhatALogIsWorth(): void
    {
        $log = new SawLog(Length::ofInches(14), Length::ofInches(12), Length::ofFeet(16));
        $worth = LogWorth::of($log, 2.0, 60.0);
        $feet = $log->international();
        self::assertEqualsWithDelta($feet * 0.0023597372, $worth->boards->cubicMetres, 1e-7);
        $slabs = 0.7 * ($log->smalian()->cubicMetres - $worth->boards->cubicMetres) * 1.4;
        self::assertEqualsWithDelta($slabs, $worth->slabs->stackedVolume()->cubicMetres, 1e-9);
        self::assertEqualsWithDelta(2 * $feet + 60 * $slabs, $worth->worth, 1e-9);
        self::assertEqualsWithDelta(60 * $slabs, $worth->ofSlabs, 1e-9);
        $this->expectException(\InvalidArgumentException::class);
        LogWorth::of($log, -1.0, 60.0);
    }

    /** The largest remainders are rounded up, and nothing is lost: 10 minutes by 1 to 1 to 1, by hand. */
    public function testPortions(): void
    {
        self::assertSame([4, 3, 3], Portions::of(10, [1.0, 1.0, 1.0]));
        self::assertSame([8, 2], Portions::of(10, [4.2, 1.0]));
        self::assertSame(97, array_sum(Portions::of(97, [0.3, 5.0, 2.2, 9.9])));
        $this->expectException(\InvalidArgumentException::class);
        Portions::of(10, [1.0, 0.0]);
    }
}
