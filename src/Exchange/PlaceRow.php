<?php

declare(strict_types=1);

namespace App\Exchange;

/** A place as a file tells of it. What the file does not say is null, and stays as it is. */
final readonly class PlaceRow
{
    /** @param list<array{float, float}>|null $boundary corners, longitude and latitude */
    public function __construct(
        public int $line,
        public string $name,
        public float $latitude,
        public float $longitude,
        public ?float $altitude = null,
        public ?array $boundary = null,
    ) {
    }
}
