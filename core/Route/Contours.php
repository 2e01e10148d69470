<?php

declare(strict_types=1);

namespace Hylognosis\Route;

use Hylognosis\Measure\Length;

/**
 * Heights between lines of equal height: from the nearest line and the nearest of another height, by how far each is.
 */
final readonly class Contours
{
    /** Farther from any line nothing is said. */
    private const FARTHEST_METRES = 1500.0;

    /** @param array<string, list<array{float, float}>> $lines height in metres, as text → points, longitude and latitude */
    public function __construct(private array $lines)
    {
    }

    /** @return Length|null above the sea; null where no line is near */
    public function heightAt(float $latitude, float $longitude): ?Length
    {
        $east = 111_320 * cos(deg2rad($latitude));
        $nearest = [];
        foreach ($this->lines as $height => $points) {
            $least = \INF;
            foreach ($points as [$lon, $lat]) {
                $least = min($least, (($lon - $longitude) * $east) ** 2 + (($lat - $latitude) * 111_320) ** 2);
            }
            $nearest[] = [(float) $height, sqrt($least)];
        }
        usort($nearest, static fn (array $a, array $b): int => $a[1] <=> $b[1]);
        if ([] === $nearest || $nearest[0][1] > self::FARTHEST_METRES) {
            return null;
        }
        [$first, $second] = [$nearest[0], $nearest[1] ?? $nearest[0]];
        $sum = $first[1] + $second[1];

        return Length::ofMetres(0.0 === $sum ? $first[0] : ($first[0] * $second[1] + $second[0] * $first[1]) / $sum);
    }
}
