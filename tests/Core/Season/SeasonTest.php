<?php

declare(strict_types=1);

namespace App\Tests\Core\Season;

use App\Tests\Support\Starter;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Place;
use Hylognosis\Measure\Window;
use Hylognosis\Season\HopkinsShift;
use Hylognosis\Season\Phenology;
use PHPUnit\Framework\TestCase;

final class SeasonTest extends TestCase
{
    public function testDaysOfTheYear(): void
    {
        self::assertSame(165, DayOfYear::parse('06-14')->number);
        self::assertSame('06-14', (string) DayOfYear::of(165));
        self::assertSame('12-31', (string) DayOfYear::parse('01-01')->plus(-1));
        self::assertSame(
            60,
            DayOfYear::on(new \DateTimeImmutable('2028-02-29'))->number,
            'a leap day counts as 1 March',
        );
        self::assertSame(6, DayOfYear::of(165)->month());
    }

    public function testRefusesDaysThatAreNone(): void
    {
        foreach (['02-29', '13-01', '6-14', '00-10', '06-31'] as $text) {
            try {
                DayOfYear::parse($text);
                self::fail($text.' was taken.');
            } catch (\InvalidArgumentException $e) {
                self::assertStringContainsString($text, $e->getMessage());
            }
        }
    }

    public function testAWindowMayRunOverTheTurnOfTheYear(): void
    {
        $window = Window::of(DayOfYear::parse('11-10'), DayOfYear::parse('03-10'));
        self::assertTrue(
            $window->contains(DayOfYear::parse('12-31'))
                && $window->contains(DayOfYear::parse('03-10'))
                && $window->contains(DayOfYear::parse('11-10')),
        );
        self::assertFalse($window->contains(DayOfYear::parse('03-11')) || $window->contains(DayOfYear::parse('07-01')));
        self::assertSame(121, $window->days());
    }

    public function testWhatWaitsForWarmthComesLaterUphillAndColdCutsItShort(): void
    {
        $flora = Starter::flora();
        $high = Phenology::at($flora, Place::of(47.1, 15.4, Length::ofMetres(400 + 121.92 * 5)));
        $elder = $flora->taxon('sambucus-nigra');
        self::assertSame('14 June to 15 July', $high->window($elder->part('flower'))?->words(), 'twenty days later');
        self::assertSame(
            '15 October to 16 October',
            $high->window($flora->taxon('castanea-sativa')->part('nut'))?->words(),
            'ripe twenty days later, ended twenty days earlier',
        );
        self::assertNull(
            Phenology::at($flora, Place::of(47.1, 15.4, Length::ofMetres(1200)))->window(
                $flora->taxon('castanea-sativa')->part('nut'),
            ),
            'higher up it does not ripen before the cold',
        );
        $low = Phenology::at($flora, Place::of(47.1, 15.4, Length::ofMetres(400 - 121.92 * 2)));
        self::assertSame(
            '17 September to 28 October',
            $low->window($flora->taxon('castanea-sativa')->part('nut'))?->words(),
            'eight days earlier, at both ends',
        );
    }

    public function testEachPhenophaseMovesItsOwnWay(): void
    {
        $up = HopkinsShift::between(
            Place::of(47, 15, Length::ofMetres(0)),
            Place::of(47, 15, Length::ofMetres(121.92 * 5)),
        ); // twenty days
        $window = Window::of(DayOfYear::parse('05-01'), DayOfYear::parse('09-30'));
        foreach (
            [
                [Phenophase::Leafing, '21 May to 20 October'],
                [Phenophase::Flowering, '21 May to 20 October'],
                [Phenophase::InLeaf, '21 May to 10 September'],
                [Phenophase::Fruiting, '21 May to 10 September'],
                [Phenophase::Leafless, '11 April to 20 October'],
                [null, '1 May to 30 September'],
            ] as [$phase, $words]
        ) {
            self::assertSame($words, $up->apply($window, $phase)?->words());
        }
    }

    public function testTheRuleHoldsOnOneHalfOfTheEarthAndNotTooFarAway(): void
    {
        $from = Place::of(47, 15, Length::ofMetres(400));
        $holds = static fn (float $north, float $metres): bool => HopkinsShift::between(
            $from,
            Place::of($north, 15, Length::ofMetres($metres)),
        )->holds();
        self::assertTrue($holds(47, 400));
        self::assertTrue($holds(57, 400));
        self::assertFalse($holds(57.5, 400), 'forty-two days');
        self::assertFalse($holds(-47, 400), 'as far from the equator, on the other side');
        self::assertFalse($holds(47, 2000));
    }

    public function testEvergreensShowTheirNeedlesAllYear(): void
    {
        $phenology = Phenology::at(Starter::flora(), Starter::flora()->reference);
        $kind = Starter::flora()->character('leaf.kind');
        foreach (['01-15', '06-15', '12-15'] as $day) {
            self::assertTrue(
                $phenology->shows(Starter::flora()->taxon('taxus-baccata'), $kind, DayOfYear::parse($day)),
            );
        }
        self::assertFalse(
            $phenology->shows(Starter::flora()->taxon('sambucus-nigra'), $kind, DayOfYear::parse('01-15')),
        );
        self::assertSame(
            '03-15',
            (string) $phenology->nextShowing(
                Starter::flora()->taxon('sambucus-nigra'),
                $kind,
                DayOfYear::parse('01-15'),
            ),
        );
    }

    public function testKnowsWhatNoTreeShowsInJuly(): void
    {
        $phenology = Phenology::at(Starter::flora(), Starter::flora()->reference);
        self::assertSame(
            ['flower.winter-catkins', 'fruit.remains'],
            $phenology->outOfSeason(Starter::flora(), DayOfYear::parse('07-15')),
        );
    }
}
