<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/** A temperature, of the air or of something that is made. */
final readonly class Temperature
{
    private function __construct(public float $celsius)
    {
    }

    /** @throws \InvalidArgumentException if it is none the air near the ground ever had: below −95 or above 60 °C */
    public static function celsius(float $degrees): self
    {
        if (!is_finite($degrees) || $degrees < -95.0 || $degrees > 60.0) {
            throw new \InvalidArgumentException(
                \sprintf('The air has between -95 and 60 degrees Celsius; %s is none of that.', $degrees),
            );
        }

        return new self($degrees);
    }

    /** @throws \InvalidArgumentException if nobody freezes or heats anything so: below −40 or above 1200 °C */
    public static function ofProcess(float $degrees): self
    {
        return is_finite($degrees) && $degrees >= -40.0 && $degrees <= 1200.0
            ? new self($degrees)
            : throw new \InvalidArgumentException(
                \sprintf('Between -40 and 1200 degrees Celsius; %s is none of that.', $degrees),
            );
    }

    /** @throws \InvalidArgumentException if it is none the air near the ground ever had */
    public static function fahrenheit(float $degrees): self
    {
        return self::celsius((($degrees - 32.0) * 5.0) / 9.0);
    }

    public function fahrenheitDegrees(): float
    {
        return ($this->celsius * 9.0) / 5.0 + 32.0;
    }
}
