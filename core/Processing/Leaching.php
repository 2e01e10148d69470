<?php

declare(strict_types=1);

namespace Hylognosis\Processing;

use Hylognosis\Measure\Mass;

/**
 * Bitterness that goes with the water. Each change leaves at the best the share of water that the meal holds back: what
 * is dissolved spreads evenly. What is not dissolved yet stays, which is why the tongue decides and not this.
 *
 * Source: balance of mass; the days are common practice.
 */
final readonly class Leaching
{
    /**
     * @param Mass $held  water the meal holds back when it is poured off
     * @param Mass $added water that is poured on
     *
     * @throws \InvalidArgumentException if no water is poured on, or none is held back
     */
    public function __construct(private Mass $held, private Mass $added)
    {
        if ($held->grams <= 0.0 || $added->grams <= 0.0) {
            throw new \InvalidArgumentException('Meal holds some water, and some is poured on.');
        }
    }

    /** Meal of acorns holds its own weight of water and a little more. Common practice. */
    public static function ofMeal(Mass $dry, Mass $added): self
    {
        return new self($dry->times(1.2), $added);
    }

    /**
     * Share of what was dissolvable that is left at the best.
     *
     * @throws \InvalidArgumentException unless 0 ≤ changes ≤ 1000
     */
    public function leftAfter(int $changes): float
    {
        return $changes >= 0 && $changes <= 1000
            ? $this->keeps() ** $changes
            : throw new \InvalidArgumentException('Between none and a thousand changes.');
    }

    /**
     * Changes until no more than a share is left, at the best.
     *
     * @throws \InvalidArgumentException unless 0 < share < 1
     */
    public function changesTo(float $share): int
    {
        return $share > 0.0 && $share < 1.0
            ? (int) ceil(log($share) / log($this->keeps()) - 1e-9)
            : throw new \InvalidArgumentException('A share lies between 0 and 1.');
    }

    /**
     * How long it takes in all: what dissolves has to come out of the meal first.
     *
     * @param bool|null $red oaks of the red group hold more; null: not known
     * @param bool      $hot boiled, instead of below 10 °C
     *
     * @return array{float, float} hours, from and to. Common practice
     */
    public static function hours(?bool $red, bool $hot): array
    {
        $white = $hot ? [1.0, 1.5] : [72.0, 120.0];
        $more = $hot ? [1.5, 2.5] : [120.0, 240.0];

        return match ($red) {
            false => $white,
            true => $more,
            null => [$white[0], $more[1]],
        };
    }

    private function keeps(): float
    {
        return $this->held->grams / ($this->held->grams + $this->added->grams);
    }
}
