<?php

declare(strict_types=1);

namespace App\Map\View;

/** What was read of a base map. */
final readonly class BaseMapView
{
    /**
     * @param int $lines  contours, water, ways and other lines
     * @param int $areas  woods, lakes and other areas
     * @param int $points single points
     */
    public function __construct(public int $lines, public int $areas, public int $points)
    {
    }
}
