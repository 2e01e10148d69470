<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/** A weight, as people say. */
final readonly class Mass
{
    private function __construct(public float $grams)
    {
    }

    /** @throws \InvalidArgumentException if it is less than nothing, or more than ten thousand tonnes */
    public static function ofGrams(float $grams): self
    {
        return is_finite($grams) && $grams >= 0.0 && $grams <= 1e10
            ? new self($grams)
            : throw new \InvalidArgumentException(\sprintf('No weight has %s grams.', $grams));
    }

    /** @throws \InvalidArgumentException {@see ofGrams} */
    public static function ofKilograms(float $kilograms): self
    {
        return self::ofGrams(1000 * $kilograms);
    }

    public function kilograms(): float
    {
        return $this->grams / 1000;
    }

    /** International avoirdupois pounds, 1 lb = 453.592 37 g. */
    public function pounds(): float
    {
        return $this->grams / 453.59237;
    }

    /** @throws \InvalidArgumentException if it gets too large */
    public function times(float $factor): self
    {
        return self::ofGrams($factor * $this->grams);
    }
}
