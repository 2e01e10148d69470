<?php

declare(strict_types=1);

namespace Hylognosis\Position;

use Hylognosis\Measure\Length;

/**
 * A piece of ground between its corners. Reckoned on a plane laid at the point asked of, on the same sphere as
 * {@see GroundLine}: within a few kilometres it is off by less than a metre in a hundred, most of it the sphere's.
 */
final readonly class Area
{
    /** Mean radius of the Earth, metres (IUGG, R1). */
    private const RADIUS = 6_371_008.8;

    /** @param list<array{float, float}> $corners */
    private function __construct(public array $corners)
    {
    }

    /**
     * @param list<array{float, float}> $corners longitude and latitude, degrees, in the order one comes to them; the
     *                                           first may stand last again
     *
     * @throws UnusableArea if fewer than three of them differ, if one lies nowhere, or if its edge crosses itself
     */
    public static function within(array $corners): self
    {
        if (\count($corners) > 1 && $corners[0] === $corners[\count($corners) - 1]) {
            array_pop($corners);
        }
        if (\count(array_unique($corners, \SORT_REGULAR)) < 3) {
            throw new UnusableArea('An area has at least three corners.');
        }
        foreach ($corners as [$longitude, $latitude]) {
            if (!(abs($longitude) <= 180.0) || !(abs($latitude) <= 90.0)) {
                throw new UnusableArea(\sprintf('No place lies at %s°, %s°.', $latitude, $longitude));
            }
        }
        self::refuseCrossing($corners);

        return new self($corners);
    }

    /** @return array{float, float, float, float} south, north, west and east of it, degrees */
    public function box(): array
    {
        $box = [90.0, -90.0, 180.0, -180.0];
        foreach ($this->corners as [$longitude, $latitude]) {
            $box = [
                min($box[0], $latitude),
                max($box[1], $latitude),
                min($box[2], $longitude),
                max($box[3], $longitude),
            ];
        }

        return $box;
    }

    /** Whether the point lies inside, or on the edge. */
    public function contains(float $latitude, float $longitude): bool
    {
        $points = $this->around($latitude, $longitude);
        $inside = false;
        foreach ($points as $i => [$x, $y]) {
            [$fromX, $fromY] = $points[0 === $i ? \count($points) - 1 : $i - 1];
            if (self::distance($fromX, $fromY, $x, $y) < 1e-6) {
                return true;
            }
            if ($y > 0.0 !== $fromY > 0.0 && $x - ($y * ($fromX - $x)) / ($fromY - $y) > 0.0) {
                $inside = !$inside;
            }
        }

        return $inside;
    }

    /** How far it is from the point to the nearest place on the edge, from within or without. */
    public function toEdge(float $latitude, float $longitude): Length
    {
        $points = $this->around($latitude, $longitude);
        $least = \INF;
        foreach ($points as $i => [$x, $y]) {
            [$fromX, $fromY] = $points[0 === $i ? \count($points) - 1 : $i - 1];
            $least = min($least, self::distance($fromX, $fromY, $x, $y));
        }

        return Length::ofMetres($least);
    }

    /** @return non-empty-list<array{float, float}> the corners in metres east and north of the point */
    private function around(float $latitude, float $longitude): array
    {
        $east = cos(deg2rad($latitude)) * self::RADIUS;
        $points = [];
        foreach ($this->corners as [$cornerLongitude, $cornerLatitude]) {
            $turn = fmod($cornerLongitude - $longitude + 540.0, 360.0) - 180.0; // the short way, over the date line too
            $points[] = [deg2rad($turn) * $east, deg2rad($cornerLatitude - $latitude) * self::RADIUS];
        }

        return [] === $points ? throw new \LogicException('An area has corners.') : $points;
    }

    /** From the origin to the nearest place between two points. */
    private static function distance(float $fromX, float $fromY, float $x, float $y): float
    {
        [$alongX, $alongY] = [$x - $fromX, $y - $fromY];
        $square = $alongX ** 2 + $alongY ** 2;
        $share = $square > 0.0 ? max(0.0, min(1.0, -($fromX * $alongX + $fromY * $alongY) / $square)) : 0.0;

        return hypot($fromX + $share * $alongX, $fromY + $share * $alongY);
    }

    /**
     * @param list<array{float, float}> $corners
     *
     * @throws UnusableArea
     */
    private static function refuseCrossing(array $corners): void
    {
        $count = \count($corners);
        for ($i = 0; $i < $count; ++$i) {
            for ($j = $i + 2; $j < $count; ++$j) {
                if (
                    (0 !== $i || $j !== $count - 1)
                    && self::cross($corners[$i], $corners[$i + 1], $corners[$j], $corners[($j + 1) % $count])
                ) {
                    throw new UnusableArea(
                        \sprintf('Its edge crosses itself, between corners %d and %d.', $i + 1, $j + 1),
                    );
                }
            }
        }
    }

    /**
     * @param array{float, float} $a
     * @param array{float, float} $b
     * @param array{float, float} $c
     * @param array{float, float} $d
     */
    private static function cross(array $a, array $b, array $c, array $d): bool
    {
        return self::turn($a, $b, $c) * self::turn($a, $b, $d) < 0.0
            && self::turn($c, $d, $a) * self::turn($c, $d, $b) < 0.0;
    }

    /**
     * @param array{float, float} $a
     * @param array{float, float} $b
     * @param array{float, float} $c
     */
    private static function turn(array $a, array $b, array $c): float
    {
        return ($b[0] - $a[0]) * ($c[1] - $a[1]) - ($b[1] - $a[1]) * ($c[0] - $a[0]);
    }
}
