<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Measure\Length;
use Hylognosis\Measure\Mass;
use Hylognosis\Measure\Proportion;
use Hylognosis\Measure\Temperature;
use Hylognosis\Measure\Volume;
use Hylognosis\Processing\Cord;
use Hylognosis\Processing\Firewood;
use Hylognosis\Processing\GroundLife;
use Hylognosis\Processing\Leaching;
use Hylognosis\Processing\Moisture;
use Hylognosis\Processing\NutYield;
use Hylognosis\Processing\Preserve;
use Hylognosis\Processing\SawLog;
use Hylognosis\Processing\Shrinkage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What people reckon in the head, against tables and worked examples; the source beside each. */
final class ProcessingTest extends TestCase
{
    /** Wood Handbook, table 4–2, the row of 70 °F (21.1 °C), percent on dry basis (memory). */
    private const EQUILIBRIUM = [
        5 => 1.3, 10 => 2.5, 15 => 3.5, 20 => 4.5, 25 => 5.4, 30 => 6.2, 35 => 6.9, 40 => 7.7, 45 => 8.5, 50 => 9.2,
        55 => 10.1, 60 => 11.0, 65 => 12.0, 70 => 13.1, 75 => 14.4, 80 => 16.0, 85 => 17.9, 90 => 20.5, 95 => 23.9,
    ];

    public function testEquilibriumMoistureAsTheWoodHandbookPrintsIt(): void
    {
        foreach (self::EQUILIBRIUM as $humidity => $percent) {
            $moisture = Moisture::ofWoodIn(Temperature::fahrenheit(70), $humidity / 100);
            self::assertEqualsWithDelta($percent, 100 * $moisture->onDryBasis(), 0.1, $humidity.' %');
        }
        // warmer air of the same humidity dries further
        self::assertLessThan(
            Moisture::ofWoodIn(Temperature::celsius(5), 0.65)->onDryBasis(),
            Moisture::ofWoodIn(Temperature::celsius(40), 0.65)->onDryBasis(),
        );
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
        self::assertEqualsWithDelta(
            4.0,
            Cord::takesForAMetre(Length::ofMetres(0.006))[0]->grams / $loose->grams,
            1e-9,
        );
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
        $cherry = Firewood::solid(Volume::ofCubicFeet(85))->heat(560, Moisture::wetBasis(0.17)) * 3412.14 / 1e6;
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
}
