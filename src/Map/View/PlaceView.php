<?php

declare(strict_types=1);

namespace App\Map\View;

/** A place on the map. */
final readonly class PlaceView
{
    /**
     * @param string                     $id        its id
     * @param string                     $name      what it is called
     * @param float                      $latitude  degrees, north above 0
     * @param float                      $longitude degrees, east above 0
     * @param list<array{float, float}> $boundary  its corners, longitude and latitude; may be empty
     */
    public function __construct(
        public string $id,
        public string $name,
        public float $latitude,
        public float $longitude,
        public array $boundary,
    ) {
    }
}
