<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/** A volume. */
final readonly class Volume
{
    /** 1 ft = 0.3048 m */
    private const CUBIC_FOOT = 0.028316846592;

    private function __construct(public float $cubicMetres)
    {
    }

    /** @throws \InvalidArgumentException if it is less than nothing, or larger than a hill */
    public static function ofCubicMetres(float $metres): self
    {
        return is_finite($metres) && $metres >= 0.0 && $metres <= 1e7
            ? new self($metres)
            : throw new \InvalidArgumentException(\sprintf('Nothing takes %s cubic metres.', $metres));
    }

    /** @throws \InvalidArgumentException {@see ofCubicMetres} */
    public static function ofCubicFeet(float $feet): self
    {
        return self::ofCubicMetres($feet * self::CUBIC_FOOT);
    }

    public function cubicFeet(): float
    {
        return $this->cubicMetres / self::CUBIC_FOOT;
    }

    public function litres(): float
    {
        return 1000 * $this->cubicMetres;
    }
}
