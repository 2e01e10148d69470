<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/** A place on the Earth: WGS 84 degrees, altitude above sea level. */
final readonly class Place
{
    private function __construct(
        public float $latitudeDegrees,
        public float $longitudeDegrees,
        public Length $altitude,
    ) {
    }

    /**
     * @param float $latitudeDegrees  −90 to 90, north positive
     * @param float $longitudeDegrees −180 to 180, east positive
     *
     * @throws \InvalidArgumentException if a coordinate is out of range
     */
    public static function of(float $latitudeDegrees, float $longitudeDegrees, Length $altitude): self
    {
        if (abs($latitudeDegrees) > 90) {
            throw new \InvalidArgumentException(
                \sprintf('A latitude lies between -90 and 90 degrees; %s does not.', $latitudeDegrees),
            );
        }
        if (abs($longitudeDegrees) > 180) {
            throw new \InvalidArgumentException(
                \sprintf('A longitude lies between -180 and 180 degrees; %s does not.', $longitudeDegrees),
            );
        }

        return new self($latitudeDegrees, $longitudeDegrees, $altitude);
    }
}
