<?php

declare(strict_types=1);

namespace Hylognosis\Range;

use Hylognosis\Measure\Length;
use Hylognosis\Measure\Place;

/**
 * Where a kind grows of itself within the region of a flora, by parallels, meridians and altitudes. Outside it was
 * planted or has escaped. Coarse: no map.
 */
final readonly class NativeRange
{
    /** Degrees; so near a border nothing is said. */
    private const NEAR = 0.3;
    /** Metres; the same of altitude. */
    private const NEAR_ALTITUDE = 100.0;

    /**
     * @param Length $lowest above sea level
     * @param float  $south  −90 to 90 degrees
     * @param float  $west   −180 to 180 degrees
     * @param string $where  in words
     *
     * @throws \InvalidArgumentException unless each bound lies below its other
     */
    public function __construct(
        public Length $lowest,
        public Length $highest,
        public float $south,
        public float $north,
        public float $west,
        public float $east,
        public string $where,
    ) {
        if ($lowest->metres() >= $highest->metres() || $south >= $north || $west >= $east) {
            throw new \InvalidArgumentException('A range rises from south to north, from west to east, and upward.');
        }
    }

    /** Whether the place lies clearly outside. */
    public function isOutside(Place $place): bool
    {
        return $place->latitudeDegrees < $this->south - self::NEAR
            || $place->latitudeDegrees > $this->north + self::NEAR
            || $place->longitudeDegrees < $this->west - self::NEAR
            || $place->longitudeDegrees > $this->east + self::NEAR
            || $place->altitude->metres() < $this->lowest->metres() - self::NEAR_ALTITUDE
            || $place->altitude->metres() > $this->highest->metres() + self::NEAR_ALTITUDE;
    }
}
