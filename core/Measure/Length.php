<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/** A length, kept in metres. Imperial factors are exact: 1 in = 0.0254 m, 1 ft = 0.3048 m (international yard and pound agreement, 1959). */
final readonly class Length
{
    private const INCH = 0.0254;
    private const FOOT = 0.3048;

    private function __construct(private float $metres)
    {
    }

    /** @throws \InvalidArgumentException if the number is not finite */
    public static function ofMetres(float $metres): self
    {
        return is_finite($metres) ? new self($metres) : throw new \InvalidArgumentException('A length must be a finite number.');
    }

    public static function ofInches(float $inches): self
    {
        return self::ofMetres($inches * self::INCH);
    }

    public static function ofFeet(float $feet): self
    {
        return self::ofMetres($feet * self::FOOT);
    }

    public function metres(): float
    {
        return $this->metres;
    }

    public function inches(): float
    {
        return $this->metres / self::INCH;
    }

    public function feet(): float
    {
        return $this->metres / self::FOOT;
    }
}
