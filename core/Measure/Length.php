<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/**
 * A length, kept in metres. Imperial factors are exact: 1 in = 0.0254 m, 1 ft = 0.3048 m (international yard and pound
 * agreement, 1959).
 */
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
        return is_finite($metres)
            ? new self($metres)
            : throw new \InvalidArgumentException('A length must be a finite number.');
    }

    public static function ofInches(float $inches): self
    {
        return self::ofMetres($inches * self::INCH);
    }

    public static function ofFeet(float $feet): self
    {
        return self::ofMetres($feet * self::FOOT);
    }

    /**
     * @param string $unit `mm`, `cm`, `m`, `in` or `ft`
     *
     * @throws \InvalidArgumentException if the number is not finite
     * @throws UnknownUnit               if the unit is unknown
     */
    public static function of(float $number, string $unit): self
    {
        return self::ofMetres($number * self::inMetres($unit));
    }

    /**
     * @param string $unit `mm`, `cm`, `m`, `in` or `ft`
     *
     * @throws UnknownUnit if the unit is unknown
     */
    public function in(string $unit): float
    {
        return $this->metres / self::inMetres($unit);
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

    private static function inMetres(string $unit): float
    {
        return match ($unit) {
            'mm' => 0.001,
            'cm' => 0.01,
            'm' => 1.0,
            'in' => self::INCH,
            'ft' => self::FOOT,
            default => throw new UnknownUnit(\sprintf('"%s" is no unit of length; known: mm, cm, m, in, ft.', $unit)),
        };
    }
}
