<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

use Random\Randomizer;

/**
 * Draws what a tree shows and what an examiner reads. Fair: as often as the descriptions say. Leaning: mostly toward
 * what would open the gate, so that a mistake of one in a million is seen often enough to be counted; the weight says
 * how much rarer the drawn course really is (importance sampling with a defensive mixture).
 */
final class Chance
{
    /** Share of draws a leaning chance makes fairly all the same; keeps every weight bounded. */
    private const FAIR_SHARE = 0.15;

    private float $weight = 1.0;

    private function __construct(private readonly Randomizer $random, private readonly bool $leaning)
    {
    }

    public static function fair(Randomizer $random): self
    {
        return new self($random, false);
    }

    public static function leaning(Randomizer $random): self
    {
        return new self($random, true);
    }

    /** How many times as likely the draws so far were by fair chance: 1 for a fair one. */
    public function weight(): float
    {
        return $this->weight;
    }

    /** Evenly from 0 up to, but not including, 1. */
    public function number(): float
    {
        return $this->random->getInt(0, (1 << 53) - 1) / (1 << 53);
    }

    /**
     * @param non-empty-list<float> $shares of the outcomes, summing to 1
     * @param list<bool>            $wanted outcomes to lean toward
     *
     * @return int the outcome drawn
     */
    public function pick(array $shares, array $wanted): int
    {
        $toward = 0.0;
        foreach ($this->leaning ? $shares : [] as $i => $share) {
            $toward += $wanted[$i] ? $share : 0.0;
        }
        if ($toward <= 0.0 || $toward >= 1.0 - 1e-12) {
            return $this->drawn($shares, 1.0);
        }
        $i =
            $this->number() < self::FAIR_SHARE
                ? $this->drawn($shares, 1.0)
                : $this->drawn(
                    array_map(static fn (float $share, bool $is): float => $is ? $share : 0.0, $shares, $wanted),
                    $toward,
                );
        $this->weight /= self::FAIR_SHARE + (1 - self::FAIR_SHARE) * ($wanted[$i] ? 1 / $toward : 0.0);

        return $i;
    }

    /** @param array<int, float> $shares */
    private function drawn(array $shares, float $sum): int
    {
        $at = $this->number() * $sum;
        $last = 0;
        foreach ($shares as $i => $share) {
            if ($share > 0.0) {
                $last = $i;
                $at -= $share;
                if ($at < 0.0) {
                    return $i;
                }
            }
        }

        return $last;
    }
}
