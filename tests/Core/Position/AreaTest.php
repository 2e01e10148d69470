<?php

declare(strict_types=1);

namespace App\Tests\Core\Position;

use Hylognosis\Position\Area;
use Hylognosis\Position\UnusableArea;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What an edge encloses, and how far it is. */
final class AreaTest extends TestCase
{
    private const SQUARE = [[15.310, 47.120], [15.314, 47.120], [15.314, 47.124], [15.310, 47.124]];

    public function testWhicheverWayRoundItIsWalkedAndWhetherItIsClosed(): void
    {
        foreach ([self::SQUARE, array_reverse(self::SQUARE), [...self::SQUARE, self::SQUARE[0]]] as $ring) {
            $area = Area::within($ring);
            self::assertTrue($area->contains(47.122, 15.312));
            self::assertTrue($area->contains(47.120, 15.312), 'on the edge');
            self::assertFalse($area->contains(47.1199, 15.312));
            // 0.0001° of latitude are 11.12 m
            self::assertEqualsWithDelta(11.12, $area->toEdge(47.1199, 15.312)->metres(), 0.01);
            self::assertEqualsWithDelta(11.12, $area->toEdge(47.1201, 15.312)->metres(), 0.01);
        }
    }

    public function testANookIsOutside(): void
    {
        $area = Area::within([[0.0, 0.0], [0.004, 0.0], [0.004, 0.004], [0.002, 0.001], [0.0, 0.004]]);
        self::assertFalse($area->contains(0.003, 0.002));
        self::assertTrue($area->contains(0.0005, 0.002));
    }

    public function testOverTheDateLine(): void
    {
        $area = Area::within([[179.999, -17.0], [-179.999, -17.0], [-179.999, -16.998], [179.999, -16.998]]);
        self::assertTrue($area->contains(-16.999, 180.0));
        self::assertTrue($area->contains(-16.999, -179.9995));
        self::assertFalse($area->contains(-16.999, 179.998));
    }

    /** @return iterable<string, array{list<array{float, float}>, string}> */
    public static function unusable(): iterable
    {
        yield 'a line' => [[[15.0, 47.0], [15.1, 47.0]], 'three corners'];
        yield 'one corner three times' => [[[15.0, 47.0], [15.0, 47.0], [15.0, 47.0]], 'three corners'];
        yield 'nowhere' => [[[15.0, 97.0], [15.1, 47.0], [15.1, 47.1]], 'No place lies at 97'];
        yield 'a bow tie' => [[[0.0, 0.0], [1.0, 1.0], [1.0, 0.0], [0.0, 1.0]], 'crosses itself'];
    }

    /** @param list<array{float, float}> $ring */
    #[DataProvider('unusable')]
    public function testWhatEnclosesNothingIsRefused(array $ring, string $why): void
    {
        $this->expectException(UnusableArea::class);
        $this->expectExceptionMessage($why);
        Area::within($ring);
    }
}
