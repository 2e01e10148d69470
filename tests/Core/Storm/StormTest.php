<?php

declare(strict_types=1);

namespace App\Tests\Core\Storm;

use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Mass;
use Hylognosis\Measure\Temperature;
use Hylognosis\Position\Area;
use Hylognosis\Stock\Animal;
use Hylognosis\Stock\CarriedLeaf;
use Hylognosis\Stock\HarmSeen;
use Hylognosis\Stock\Herd;
use Hylognosis\Stock\Peril;
use Hylognosis\Stock\PlantState;
use Hylognosis\Stock\WoodyGroup;
use Hylognosis\Stock\Zone;
use Hylognosis\Storm\Alarm;
use Hylognosis\Storm\FencedGround;
use Hylognosis\Storm\Gale;
use Hylognosis\Storm\StormFinding;
use Hylognosis\Storm\StormMark;
use Hylognosis\Storm\StormRound;
use Hylognosis\Storm\Wilting;
use Hylognosis\Weather\DailyWeather;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What raises a round, in which order it is walked, and what is an alarm. */
final class StormTest extends TestCase
{
    public function testAGaleBeginsWhereBranchesBreak(): void
    {
        $days = array_map(
            static fn (int $day, ?float $gust): DailyWeather => new DailyWeather(
                CalendarDay::parse("2027-03-0$day"),
                Temperature::celsius(1),
                Temperature::celsius(9),
                0.0,
                4.0,
                $gust,
                80.0,
            ),
            [1, 2, 3, 4],
            [20.7, 26.4, null, 30.1],
        );
        self::assertSame([30.1, 26.4], array_map(static fn (Gale $g): float => $g->gust, Gale::among($days)));
    }

    public function testThePoisonousOverRuminantsFirstThenOtherPasturesThenTheRest(): void
    {
        $round = StormRound::of(
            [
                self::mark('far-oak', 47.1300, null),
                self::mark('hazel', 47.1201, Peril::Harmless),
                self::mark('nobody-knows', 47.1250, Peril::Unknown),
                self::mark('cherry', 47.1240, Peril::Serious),
            ],
            47.1200,
            15.31,
            [],
        );
        self::assertSame(
            ['cherry', 'nobody-knows', 'hazel', 'far-oak'],
            array_map(static fn (StormMark $m): string => $m->id, $round->stops),
        );
        self::assertGreaterThan(array_sum($round->seconds), $round->wholeSeconds, 'and the way back');
        self::assertSame([], StormRound::of([], 47.12, 15.31, [])->stops);
    }

    public function testAFenceIsCrossedAtItsGateWhereOneIsKnown(): void
    {
        $fence = Area::within([[15.310, 47.120], [15.314, 47.120], [15.314, 47.124], [15.310, 47.124]]);
        $inside = self::mark('inside', 47.122, Peril::Deadly, 15.3101);
        $climbed = StormRound::of([$inside], 47.122, 15.3095, [new FencedGround($fence, [])]);
        $byGate = StormRound::of([$inside], 47.122, 15.3095, [new FencedGround($fence, [47.122, 15.314])]);
        self::assertGreaterThan(5 * $climbed->seconds[0], $byGate->seconds[0]);
    }

    public function testOfTwoAtOncePlaceTheHeavierCrownIsGoneToFirst(): void
    {
        $light = self::mark('light', 47.121, Peril::Serious, crown: Mass::ofKilograms(2));
        $heavy = self::mark('heavy', 47.121, Peril::Serious, crown: Mass::ofKilograms(90));
        $unknown = self::mark('unmeasured', 47.121, Peril::Serious);
        self::assertLessThan(0, $heavy->before($light));
        self::assertLessThan(0, $unknown->before($heavy));
        $goats = self::mark('goats', 47.121, Peril::Serious, ruminants: false);
        self::assertLessThan(0, $light->before($goats));
    }

    /** @return iterable<string, array{StormFinding, Peril, bool}> */
    public static function findings(): iterable
    {
        foreach (StormFinding::cases() as $finding) {
            foreach (Peril::cases() as $peril) {
                yield $finding->value.', '.$peril->value => [
                    $finding,
                    $peril,
                    !\in_array($finding, [StormFinding::Sound, StormFinding::LimbHanging], true)
                        && Peril::Harmless !== $peril,
                ];
            }
        }
    }

    #[DataProvider('findings')]
    public function testWhatLiesThereIsAnAlarmUnlessItIsEatenWithoutHarm(
        StormFinding $finding,
        Peril $peril,
        bool $isAlarm,
    ): void {
        $herd = new Herd(Animal::Cattle, 6, Mass::ofKilograms(600));
        self::assertSame($isAlarm, null !== Alarm::of($finding, $peril, $herd, null, [], 9.0));
    }

    public function testAFallenTopOverSixCowsTellsKilogramsAndAnimals(): void
    {
        $herd = new Herd(Animal::Cattle, 6, Mass::ofKilograms(600));
        $seen = [self::harm(Animal::Cattle), self::harm(Animal::Cattle), self::harm(Animal::Sheep)];
        $leaf = CarriedLeaf::of(WoodyGroup::MixedHardwood, Length::of(12, 'cm'));
        $alarm = Alarm::of(StormFinding::TopOut, Peril::Serious, $herd, $leaf, $seen, 9.0);
        self::assertNotNull($alarm);
        self::assertSame(Wilting::Wilting, $alarm->wilting);
        self::assertCount(1, $alarm->reaches, 'of these animals, and said once');
        self::assertEqualsWithDelta(0.6, $alarm->reaches[0]->from->kilograms(), 1e-9);
        self::assertEqualsWithDelta(2.4, $alarm->reaches[0]->to->kilograms(), 1e-9);
        // 5.5 kg at the most: twice what harmed the hardest, more than six times what harmed the least
        self::assertSame([2, 6], $alarm->reaches[0]->animals);
    }

    public function testDryLeavesAreNoEnd(): void
    {
        $herd = new Herd(Animal::Cattle, 6, Mass::ofKilograms(600));
        $alarm = Alarm::of(StormFinding::LimbDown, Peril::Serious, $herd, null, [], 24.0 * 40);
        self::assertSame(Wilting::Dry, $alarm?->wilting);
        self::assertSame(0.0, Alarm::of(StormFinding::LimbDown, Peril::Serious, $herd, null, [], -3.0)?->hours);
    }

    private static function mark(
        string $id,
        float $latitude,
        ?Peril $peril,
        float $longitude = 15.31,
        ?Mass $crown = null,
        bool $ruminants = true,
    ): StormMark {
        return new StormMark($id, $latitude, $longitude, $peril, Zone::Inside, $ruminants, $crown);
    }

    private static function harm(Animal $animal): HarmSeen
    {
        return new HarmSeen('prunus-padus', $animal, 'leaves', PlantState::Wilted, 0.1, 0.4, 'Cramps.', 'fairly', 'None');
    }
}
