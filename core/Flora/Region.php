<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

use Hylognosis\Measure\Length;
use Hylognosis\Measure\Place;

/**
 * Where a flora holds: between two parallels, two meridians and two altitudes. Outside, other trees grow that it does
 * not know, and its windows of the year mean nothing.
 */
final readonly class Region
{
    /** So near its border, in degrees, trees of the next region have to be reckoned with. */
    private const NEAR_DEGREES = 0.5;

    private function __construct(
        public string $name,
        public float $south,
        public float $north,
        public float $west,
        public float $east,
        public Length $lowest,
        public Length $highest,
    ) {
    }

    /**
     * @param float $south −90 to 90 degrees, WGS 84
     * @param float $north at least south
     * @param float $west  −180 to 180 degrees
     * @param float $east  may be less than west: then the region spans the date line
     *
     * @throws UnusableRegion if north lies below south, or the highest place below the lowest
     */
    public static function of(
        string $name,
        float $south,
        float $north,
        float $west,
        float $east,
        Length $lowest,
        Length $highest,
    ): self {
        if ($north <= $south || $highest->metres() <= $lowest->metres()) {
            throw new UnusableRegion('A region rises from south to north and from its lowest to its highest place.');
        }

        return new self($name, $south, $north, $west, $east, $lowest, $highest);
    }

    public function contains(Place $place): bool
    {
        return $this->margin($place) >= 0.0
            && $place->altitude->metres() >= $this->lowest->metres()
            && $place->altitude->metres() <= $this->highest->metres();
    }

    /** Inside, but less than half a degree from its border. */
    public function isNearBorder(Place $place): bool
    {
        return $this->contains($place) && $this->margin($place) < self::NEAR_DEGREES;
    }

    /** Degrees to the nearest side; negative: outside. */
    private function margin(Place $place): float
    {
        $width = self::eastward($this->west, $this->east);
        $fromWest = self::eastward($this->west, $place->longitudeDegrees);

        return min(
            $place->latitudeDegrees - $this->south,
            $this->north - $place->latitudeDegrees,
            $fromWest <= $width ? min($fromWest, $width - $fromWest) : -1.0,
        );
    }

    private static function eastward(float $from, float $to): float
    {
        return fmod($to - $from + 720.0, 360.0);
    }
}
