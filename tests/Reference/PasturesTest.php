<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Measure\Length;
use Hylognosis\Position\Area;
use Hylognosis\Position\GroundLine;
use Hylognosis\Route\WalkingTime;
use Hylognosis\Stock\CarriedLeaf;
use Hylognosis\Stock\Peril;
use Hylognosis\Stock\WoodyGroup;
use Hylognosis\Stock\Zone;
use Hylognosis\Storm\FencedGround;
use Hylognosis\Storm\StormMark;
use Hylognosis\Storm\StormRound;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;

/**
 * Ground, leaf and rounds against the outside: Shapely and PROJ (Debian: python3-shapely, python3-pyproj), an equation
 * of another work, and every order there is.
 */
final class PasturesTest extends TestCase
{
    /** Pastures at several latitudes, a hollow one and one over the date line left out of what Shapely can hold. */
    private const RINGS = [
        [[15.30675, 47.1192], [15.3108, 47.1195], [15.311, 47.1212], [15.3066, 47.1216]],
        [[-84.001, 36.0], [-83.998, 36.0], [-83.998, 36.003], [-83.9995, 36.001], [-84.001, 36.003]],
        [[25.0, 65.0], [25.01, 65.0], [25.01, 65.004], [25.0, 65.004]],
        [[-71.3, -41.2], [-71.296, -41.2], [-71.298, -41.196]],
    ];

    public function testInsideAndHowFarToTheFenceAsPlanesOnTheEllipsoidHaveIt(): void
    {
        $random = new Randomizer(new Mt19937(5));
        $asked = [];
        foreach (self::RINGS as $ring) {
            [$south, $north, $west, $east] = Area::within($ring)->box();
            $points = [];
            for ($i = 0; $i < 60; ++$i) {
                $points[] = [
                    self::between($random, $west - 0.0015, $east + 0.0015),
                    self::between($random, $south - 0.0015, $north + 0.0015),
                ];
            }
            $asked[] = [$ring, $points];
        }
        $process = new Process(
            ['/usr/bin/python3', __DIR__.'/pastures_reference.py'],
            input: json_encode($asked, \JSON_THROW_ON_ERROR),
        );
        $process->mustRun();
        $answers = json_decode($process->getOutput(), true);
        self::assertIsArray($answers);
        $inside = 0;
        foreach ($asked as [$ring, $points]) {
            $area = Area::within($ring);
            foreach ($points as [$longitude, $latitude]) {
                $answer = array_shift($answers);
                self::assertIsArray($answer);
                self::assertIsFloat($answer[1]);
                self::assertSame($answer[0], $area->contains($latitude, $longitude));
                // the sphere is off by at most 0.6 %
                self::assertEqualsWithDelta(
                    $answer[1],
                    $area->toEdge($latitude, $longitude)->metres(),
                    0.01 + 0.006 * $answer[1],
                );
                $inside += (int) $answer[0];
            }
        }
        self::assertGreaterThan(40, $inside);
        self::assertLessThan(200, $inside);
    }

    /**
     * Black cherry of West Virginia by another work: pounds dry above the ground = 1.8082 · inches^2.6174 (Brenneman,
     * Frederick, Gardner, Schoenhofen & Marsh 1978, from memory). The line of mixed hardwood has to agree within the
     * spread of single trees that it states, nine times of ten.
     */
    public function testMassOfBlackCherryAgreesWithAnEquationOfItsOwn(): void
    {
        foreach ([10, 15, 20, 25, 30, 40] as $cm) {
            $own = CarriedLeaf::of(WoodyGroup::MixedHardwood, Length::of($cm, 'cm'))->above->kilograms();
            $other = 0.45359237 * 1.8082 * ($cm / 2.54) ** 2.6174;
            self::assertLessThan(1.64 * WoodyGroup::MixedHardwood->spread(), abs(log($own / $other)), "$cm cm");
        }
    }

    /** No order of the stops within a band is quicker, gates and all: every one is tried. */
    public function testTheRoundAfterAStormIsTheShortestOfAllOrders(): void
    {
        $fence = Area::within(self::RINGS[0]);
        $gate = [47.1195, 15.3108];
        $random = new Randomizer(new Mt19937(11));
        for ($case = 0; $case < 20; ++$case) {
            $marks = [];
            for ($i = 0; $i < 6; ++$i) {
                $marks[] = new StormMark(
                    "t$i",
                    self::between($random, 47.118, 47.123),
                    self::between($random, 15.305, 15.3125),
                    Peril::Serious,
                    Zone::Inside,
                    true,
                    null,
                );
            }
            $round = StormRound::of($marks, 47.1185, 15.3125, [new FencedGround($fence, $gate)]);
            $shortest = \INF;
            foreach (self::orders($marks) as $order) {
                $shortest = min($shortest, self::seconds($order, [47.1185, 15.3125], $fence, $gate));
            }
            self::assertEqualsWithDelta($shortest, $round->wholeSeconds, 6.0); // rounded at each stop
            self::assertEqualsWithDelta(
                $shortest,
                self::seconds($round->stops, [47.1185, 15.3125], $fence, $gate),
                1e-6 * $shortest,
            );
        }
    }

    private static function between(Randomizer $random, float $from, float $to): float
    {
        return $from + (($to - $from) * $random->getInt(0, 1_000_000)) / 1_000_000;
    }

    /**
     * @param list<StormMark> $marks
     *
     * @return iterable<list<StormMark>>
     */
    private static function orders(array $marks): iterable
    {
        if (\count($marks) < 2) {
            yield $marks;

            return;
        }
        foreach ($marks as $i => $first) {
            $rest = $marks;
            unset($rest[$i]);
            foreach (self::orders(array_values($rest)) as $order) {
                yield [$first, ...$order];
            }
        }
    }

    /**
     * @param list<StormMark>     $order
     * @param array{float, float} $home
     * @param array{float, float} $gate
     */
    private static function seconds(array $order, array $home, Area $fence, array $gate): float
    {
        $stops = array_map(static fn (StormMark $m): array => [$m->latitude, $m->longitude], $order);
        $points = [$home, ...$stops, $home];
        $seconds = 0.0;
        for ($i = 1; $i < \count($points); ++$i) {
            [$a, $b] = [$points[$i - 1], $points[$i]];
            $by = $fence->contains($a[0], $a[1]) === $fence->contains($b[0], $b[1]) ? [$a, $b] : [$a, $gate, $b];
            $metres = 0.0;
            for ($j = 1; $j < \count($by); ++$j) {
                $metres += GroundLine::between(...$by[$j - 1], ...$by[$j])->length->metres();
            }
            $seconds += WalkingTime::seconds(Length::ofMetres($metres), 0.0);
        }

        return $seconds;
    }
}
