<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

/**
 * How often a dangerous tree can pass for a wanted part at most, from the chances that each required feature of its
 * list ends in an accepted reading. The plain figure takes misreadings as independent of each other. They are not where
 * one cause bends them all: somebody who wants it to be the right tree. With a small chance c that is so, and then each
 * look reads what is hoped for with a chance of h on top of its own: P = (1 − c)·Πp + c·Π[(1 − h)·p + h].
 */
final readonly class PairBound
{
    /** Somebody who wants it reads the hoped value so often, whatever is there (an assumption). */
    public const WANTING = 0.3;
    /** How often it may be that somebody wants it so; the figures are published for each. */
    public const SHARES = [1e-2, 1e-3, 1e-4];
    /** Of one person alone nothing less is claimed, whatever the arithmetic says. */
    public const LEAST_FOR_ONE = 1e-4;

    /**
     * @param list<array{float, array<string, float>, list<string>}> $stages share of trees met, chance by required
     *     character, the characters kept out by a stated never
     */
    public function __construct(private array $stages)
    {
    }

    /** Given independent misreadings, 0 to 1. */
    public function independent(): float
    {
        return $this->over(static fn (float $p): float => $p);
    }

    /**
     * With a chance of c that one cause bends all looks toward the hope.
     *
     * @param float $c       0 to 1
     * @param bool  $twoFold two people who were told the same hope: they share the cause, and misread apart
     */
    public function wanting(float $c, bool $twoFold = false): float
    {
        $free = $this->independent();
        $bent = $this->bent();

        return $twoFold ? (1.0 - $c) * $free ** 2 + $c * $bent ** 2 : (1.0 - $c) * $free + $c * $bent;
    }

    /** The largest c at which no more than the aim pass, 0 to 1. */
    public function tolerates(float $aim, bool $twoFold = false): float
    {
        $free = $twoFold ? $this->independent() ** 2 : $this->independent();
        $bent = $twoFold ? $this->bent() ** 2 : $this->bent();

        return match (true) {
            $free > $aim => 0.0,
            $bent <= $aim => 1.0,
            default => ($aim - $free) / ($bent - $free),
        };
    }

    /**
     * Should each stated never that keeps this kind out be false with a chance of so much: then the tree really shows
     * what is asked for.
     *
     * @param float $falseLines 0 to 1
     */
    public function withFalseLines(float $falseLines): float
    {
        $sum = 0.0;
        foreach ($this->stages as [$share, $chances, $stated]) {
            $product = 1.0;
            foreach ($chances as $id => $p) {
                $product *= \in_array($id, $stated, true) ? (1.0 - $falseLines) * $p + $falseLines : $p;
            }
            $sum += $share * $product;
        }

        return $sum;
    }

    private function bent(): float
    {
        return $this->over(static fn (float $p): float => (1.0 - self::WANTING) * $p + self::WANTING);
    }

    /** @param \Closure(float): float $chance */
    private function over(\Closure $chance): float
    {
        $sum = 0.0;
        foreach ($this->stages as [$share, $chances]) {
            $sum += $share * array_product(array_map($chance, $chances));
        }

        return $sum;
    }
}
