<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Position\GroundLine;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How far and in which direction, against published lines on the ellipsoid. */
final class GroundLineTest extends TestCase
{
    /** @return iterable<string, array{float, float, float, float, float, float}> */
    public static function lines(): iterable
    {
        // Geoscience Australia's worked example for Vincenty's formulae: Flinders Peak to Buninyon, 54,972.271 m,
        // azimuth 306° 52' 05.37" (GDA94; memory of the GDA technical manual)
        yield 'Flinders Peak' => [-37.95103341667, 144.42486788888, -37.65282113888, 143.92649552777, 54_972.271, 306.86816];
        // a quarter of a meridian of WGS 84 is 10,001.966 km (standard)
        yield 'equator to pole' => [0.0, 15.0, 90.0, 15.0, 10_001_965.7, 0.0];
        // a degree of longitude on the equator of WGS 84 is 111.320 km (a = 6,378,137 m)
        yield 'along the equator' => [0.0, 15.0, 0.0, 16.0, 111_319.49, 90.0];
    }

    #[DataProvider('lines')]
    public function testItIsWithinSixInAThousandOfTheEllipsoid(
        float $fromLatitude,
        float $fromLongitude,
        float $toLatitude,
        float $toLongitude,
        float $metres,
        float $bearing,
    ): void {
        $line = GroundLine::between($fromLatitude, $fromLongitude, $toLatitude, $toLongitude);
        self::assertEqualsWithDelta($metres, $line->length->metres(), 0.006 * $metres);
        self::assertEqualsWithDelta($bearing, $line->bearing, 0.2);
    }

    public function testAcrossTheDateLineAndNowhere(): void
    {
        self::assertEqualsWithDelta(22_239, GroundLine::between(0, 179.9, 0, -179.9)->length->metres(), 30);
        self::assertSame(0.0, GroundLine::between(47, 15, 47, 15)->length->metres());
    }
}
