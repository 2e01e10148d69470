<?php

declare(strict_types=1);

namespace App\Tests\Core\Stock;

use Hylognosis\Measure\Length;
use Hylognosis\Measure\Mass;
use Hylognosis\Stock\Animal;
use Hylognosis\Stock\CarriedLeaf;
use Hylognosis\Stock\HarmSeen;
use Hylognosis\Stock\Herd;
use Hylognosis\Stock\PlantState;
use Hylognosis\Stock\WithinReach;
use Hylognosis\Stock\WoodyGroup;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How much harmed animals, how much leaf a tree carries, and how many it could reach. */
final class StockTest extends TestCase
{
    /** Leaflets of extension services: 1.2–4.8 lb of wilted cherry leaves for 1,200 lb, 0.18–0.72 lb for 180 lb. */
    public function testWiltedCherryLeavesAsTheLeafletsPrintThem(): void
    {
        $harm = self::cherry(Animal::Cattle);
        foreach ([[1200, 1.2, 4.8], [180, 0.18, 0.72]] as [$body, $least, $most]) {
            [$from, $to] = $harm->of(Mass::ofKilograms($body * 0.45359237));
            self::assertEqualsWithDelta($least, $from->pounds(), 1e-9);
            self::assertEqualsWithDelta($most, $to->pounds(), 1e-9);
        }
        [$from, $to] = $harm->of(Mass::ofKilograms(600));
        self::assertSame([0.6, 2.4], [round($from->kilograms(), 9), round($to->kilograms(), 9)]);
    }

    /** @return iterable<string, array{WoodyGroup, float, float}> kg dry, reckoned by hand from table 4 */
    public static function lines(): iterable
    {
        yield 'mixed hardwood, 30 cm' => [WoodyGroup::MixedHardwood, 30, 390.4];
        yield 'oak and beech, 40 cm' => [WoodyGroup::OakBeech, 40, 1061];
        yield 'willow, 20 cm' => [WoodyGroup::AspenWillow, 20, 139.9];
        yield 'spruce, 25 cm' => [WoodyGroup::Spruce, 25, 228.3];
        yield 'pine, 2.5 cm' => [WoodyGroup::Pine, 2.5, 0.7375];
    }

    #[DataProvider('lines')]
    public function testMassAboveTheGroundFollowsThePublishedLine(WoodyGroup $group, float $cm, float $kilograms): void
    {
        $above = CarriedLeaf::of($group, Length::of($cm, 'cm'))->above->kilograms();
        self::assertEqualsWithDelta($kilograms, $above, 0.001 * $kilograms);
    }

    public function testAHardwoodOfThirtyCentimetresCarriesTwentyKilogramsOfFreshLeaf(): void
    {
        $leaf = CarriedLeaf::of(WoodyGroup::MixedHardwood, Length::of(30, 'cm'));
        self::assertEqualsWithDelta(8.0, $leaf->dry->kilograms(), 0.1);
        self::assertEqualsWithDelta(20.0, $leaf->fresh->kilograms(), 0.2);
        self::assertEqualsWithDelta(
            $leaf->fresh->kilograms(),
            sqrt($leaf->least->kilograms() * $leaf->most->kilograms()),
            1e-9,
            'as far below as above, in proportion',
        );
        self::assertGreaterThan(1.5, $leaf->most->grams / $leaf->fresh->grams);
        foreach ([2.4, 70.1] as $cm) {
            try {
                CarriedLeaf::of(WoodyGroup::Pine, Length::of($cm, 'cm'));
                self::fail('Nobody weighed such trees.');
            } catch (\InvalidArgumentException $error) {
                self::assertStringContainsString('2.5 to 70 cm', $error->getMessage());
            }
        }
    }

    public function testHowManyOfTheHerdItCouldReach(): void
    {
        $cows = new Herd(Animal::Cattle, 60, Mass::ofKilograms(600));
        $leaf = CarriedLeaf::of(WoodyGroup::MixedHardwood, Length::of(30, 'cm'));
        $reach = WithinReach::of(self::cherry(Animal::Cattle), $cows, $leaf);
        $most = $leaf->most->kilograms();
        self::assertSame([(int) floor($most / 2.4), min(60, (int) floor($most / 0.6))], $reach->animals);
        self::assertEqualsWithDelta(0.6 / 0.7, $reach->buckets, 1e-9);
        $six = new Herd(Animal::Cattle, 6, Mass::ofKilograms(600));
        $all = WithinReach::of(self::cherry(Animal::Cattle), $six, $leaf)->animals;
        self::assertSame([6, 6], $all, 'no more than there are');
        self::assertNull(WithinReach::of(self::cherry(Animal::Cattle), $six, null)->animals);
    }

    public function testWhatNoAnimalWeighsAndNoRangeIsAreRefused(): void
    {
        $wrong = [
            static fn (): Herd => new Herd(Animal::Sheep, 0, Mass::ofKilograms(70)),
            static fn (): Herd => new Herd(Animal::Sheep, 3, Mass::ofKilograms(7000)),
            static fn (): HarmSeen => self::cherry(Animal::Sheep, 0.4, 0.1),
            static fn (): HarmSeen => self::cherry(Animal::Sheep, 0.0, 0.1),
            static fn (): HarmSeen => self::cherry(Animal::Sheep, 1.0, 11.0),
        ];
        foreach ($wrong as $one) {
            try {
                $one();
                self::fail('It was taken.');
            } catch (\InvalidArgumentException) {
                $this->addToAssertionCount(1);
            }
        }
    }

    private static function cherry(Animal $animal, float $least = 0.1, float $most = 0.4): HarmSeen
    {
        $state = PlantState::Wilted;

        return new HarmSeen('prunus-serotina', $animal, 'leaves', $state, $least, $most, 'gasping', 'fairly', '-');
    }
}
