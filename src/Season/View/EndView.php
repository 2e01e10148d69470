<?php

declare(strict_types=1);

namespace App\Season\View;

/** Where a round begins and ends, or where the car stays. */
final readonly class EndView
{
    /**
     * @param EndKind $kind      what it is
     * @param string  $site      name of the place; empty where the reader was
     * @param float   $latitude  degrees
     * @param float   $longitude degrees
     */
    public function __construct(
        public EndKind $kind,
        public string $site,
        public float $latitude,
        public float $longitude,
    ) {
    }
}
