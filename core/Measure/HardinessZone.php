<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/**
 * A plant hardiness zone: ten degrees Fahrenheit of the mean coldest night of the year. Zone 1 begins at −60 °F.
 * Source: USDA Plant Hardiness Zone Map, 2012 (memory).
 */
final readonly class HardinessZone
{
    private const FIRST_F = -60;
    private const STEP_F = 10;

    /** @param int $zone 1 to 13 */
    private function __construct(private int $zone)
    {
    }

    /** @throws \InvalidArgumentException unless 1 to 13 */
    public static function of(int $zone): self
    {
        return $zone >= 1 && $zone <= 13
            ? new self($zone)
            : throw new \InvalidArgumentException('Hardiness zones run from 1 to 13.');
    }

    /** The mean coldest night at its cold edge, °F. */
    public function coldestFahrenheit(): int
    {
        return self::FIRST_F + self::STEP_F * ($this->zone - 1);
    }

    /** The same, °C, to a whole degree. */
    public function coldestCelsius(): int
    {
        return (int) round(($this->coldestFahrenheit() - 32) / 1.8);
    }
}
