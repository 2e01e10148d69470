<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Place;
use Hylognosis\Route\Tour;
use Hylognosis\Route\WalkingTime;
use Hylognosis\Season\Daylight;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Sun, slope and the order of a round. */
final class DayAndWayTest extends TestCase
{
    /** berlin52 of TSPLIB (Reinelt 1991), 52 places of Berlin; its shortest round is 7,542. Coordinates from memory. */
    private const BERLIN =
        '565 575 25 185 345 750 945 685 845 655 880 660 25 230 525 1000 580 1175 650 1130 1605 620 1220 580 1465 200 '.
        '1530 5 845 680 725 370 145 665 415 635 510 875 560 365 300 465 520 585 480 415 835 625 975 580 1215 245 1320 '.
        '315 1250 400 660 180 410 250 420 555 575 665 1150 1160 700 580 685 595 685 610 770 610 795 645 720 635 '.
        '760 650 '.
        '475 960 95 260 875 920 700 500 555 815 830 485 1170 65 830 610 605 625 595 360 1340 725 1740 245';

    /** As printed in almanacs, rounded to the minute, universal time (memory): Greenwich, and Quito on the equator. */
    #[TestWith(['2027-06-21', 51.48, 0.0, '03:43', '20:21'])]
    #[TestWith(['2027-12-21', 51.48, 0.0, '08:04', '15:53'])]
    #[TestWith(['2027-03-20', 0.0, -78.5, '11:18', '23:25'])]
    public function testTheSunAgainstAnAlmanac(string $day, float $lat, float $lon, string $rise, string $set): void
    {
        $light = Daylight::on(
            CalendarDay::parse($day),
            Place::of($lat, $lon, Length::ofMetres(0)),
            new \DateTimeZone('UTC'),
        );
        foreach ([[$rise, $light->sunrise], [$set, $light->sunset]] as [$printed, $ours]) {
            self::assertNotNull($ours);
            self::assertEqualsWithDelta(
                (new \DateTimeImmutable("$day $printed", new \DateTimeZone('UTC')))->getTimestamp(),
                $ours->getTimestamp(),
                75,
            );
        }
        // PHP's own takes the sun for risen a quarter of a degree earlier than almanacs do
        $theirs = date_sun_info((int) strtotime("$day 12:00 UTC"), $lat, $lon);
        self::assertEqualsWithDelta($theirs['sunrise'], $light->sunrise?->getTimestamp(), 240);
        self::assertEqualsWithDelta($theirs['civil_twilight_end'], $light->dusk?->getTimestamp(), 240);
        self::assertNotNull($light->sunrise);
        self::assertNotNull($light->sunset);
        $noon = ($light->sunrise->getTimestamp() + $light->sunset->getTimestamp()) / 2;
        self::assertEqualsWithDelta($theirs['transit'], $noon, 40);
        self::assertLessThan($light->sunrise, $light->dawn);
        self::assertGreaterThan($light->sunset, $light->dusk);
    }

    public function testWhereItNeverSetsNothingIsSaid(): void
    {
        $light = Daylight::on(
            CalendarDay::parse('2027-06-21'),
            Place::of(70, 20, Length::ofMetres(0)),
            new \DateTimeZone('Europe/Oslo'),
        );
        self::assertNull($light->sunrise);
        self::assertNull($light->sunset);
        $east = Daylight::on(
            CalendarDay::parse('2027-06-21'),
            Place::of(-17.8, 178, Length::ofMetres(0)),
            new \DateTimeZone('Pacific/Fiji'),
        );
        self::assertSame('2027-06-21', $east->sunrise?->format('Y-m-d'), 'by the date line, too');
    }

    /** Tobler 1993: 5.04 km/h on the level, 6 at its fastest, one in twenty down; six tenths of that off the path. */
    public function testToblersSpeeds(): void
    {
        $speed = static fn (float $rise, float $share): float => 3600 /
            WalkingTime::seconds(Length::ofMetres(1000), $rise, $share);
        self::assertEqualsWithDelta(5.037, $speed(0, 1), 0.001);
        self::assertEqualsWithDelta(6.0, $speed(-50, 1), 1e-9);
        self::assertEqualsWithDelta(6 * exp(-3.5 * 0.25), $speed(200, 1), 1e-9);
        self::assertEqualsWithDelta(3.6, $speed(-50, WalkingTime::OFF_PATH), 1e-9);
    }

    public function testASmallTourIsTheShortestThereIs(): void
    {
        $random = new Randomizer(new Mt19937(12));
        for ($n = 0; $n <= 6; ++$n) {
            $times = self::hills($random, $n + 2);
            $tour = Tour::through($times);
            self::assertTrue($tour->isExact);
            $least = \INF;
            foreach (self::orders(0 === $n ? [] : range(1, $n)) as $order) {
                $least = min($least, Tour::length($times, $order));
            }
            self::assertEqualsWithDelta($least, $tour->seconds, 1e-9);
        }
    }

    public function testALargerOneIsGood(): void
    {
        $random = new Randomizer(new Mt19937(60));
        for ($i = 0; $i < 6; ++$i) {
            $times = self::hills($random, 14);
            $exact = Tour::through($times);
            // one more stop where the first is: the exact way is not taken, and the shortest way is as long
            $more = array_map(
                static fn (array $row): array => [...\array_slice($row, 0, 2), $row[1], ...\array_slice($row, 2)],
                $times,
            );
            array_splice($more, 2, 0, [$more[1]]);
            $good = Tour::through($more);
            self::assertFalse($good->isExact);
            self::assertGreaterThanOrEqual($exact->seconds - 1e-9, $good->seconds);
            self::assertLessThan($exact->seconds * 1.03, $good->seconds);
        }
        $numbers = array_map(intval(...), explode(' ', self::BERLIN));
        $places = array_chunk($numbers, 2);
        $places[] = $places[0];
        $times = array_map(
            static fn (array $a): array => array_map(
                static fn (array $b): float => round(hypot($a[0] - $b[0], $a[1] - $b[1])),
                $places,
            ),
            $places,
        );
        $tour = Tour::through(array_map(array_values(...), array_values($times)));
        self::assertGreaterThanOrEqual(7542, $tour->seconds);
        self::assertLessThan(7542 * 1.02, $tour->seconds);
        $order = $tour->order;
        sort($order);
        self::assertSame(range(1, 51), $order, 'each once');
    }

    /** @return list<list<float>> seconds between places on hills: up takes longer than down */
    private static function hills(Randomizer $random, int $count): array
    {
        $places = [];
        for ($i = 0; $i < $count; ++$i) {
            $places[] = [$random->getInt(0, 3000), $random->getInt(0, 3000), $random->getInt(400, 800)];
        }

        return array_map(
            static fn (array $a): array => array_map(
                static fn (array $b): float => WalkingTime::seconds(
                    Length::ofMetres(hypot($a[0] - $b[0], $a[1] - $b[1])),
                    $b[2] - $a[2],
                ),
                $places,
            ),
            $places,
        );
    }

    /**
     * @param list<int> $of
     *
     * @return iterable<list<int>>
     */
    private static function orders(array $of): iterable
    {
        if ([] === $of) {
            yield [];
        }
        foreach ($of as $i => $first) {
            $rest = $of;
            array_splice($rest, $i, 1);
            foreach (self::orders($rest) as $order) {
                yield [$first, ...$order];
            }
        }
    }
}
