<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/**
 * A share of which so much was seen: the beta distribution of parameters that need not be whole.
 *
 * Sources: continued fraction of the incomplete beta function after Lentz, log-gamma after Lanczos (Numerical Recipes,
 * 6.4 and 6.1, from memory; checked against SciPy in tests/Reference).
 */
final readonly class BetaShare
{
    private const LANCZOS = [
        76.180_091_729_471_46,
        -86.505_320_329_416_77,
        24.014_098_240_830_91,
        -1.231_739_572_450_155,
        0.001_208_650_973_866_179,
        -0.000_005_395_239_384_953,
    ];
    private const STEPS = 300;

    private function __construct(private float $for, private float $against)
    {
    }

    /**
     * @param float $for     so much was seen of it, more than 0
     * @param float $against and so much of all else, more than 0
     *
     * @throws \InvalidArgumentException unless both are more than nothing
     */
    public static function of(float $for, float $against): self
    {
        return $for > 0.0 && $against > 0.0 && is_finite($for + $against)
            ? new self($for, $against)
            : throw new \InvalidArgumentException(\sprintf('Nothing is shared by %s and %s.', $for, $against));
    }

    public function mean(): float
    {
        return $this->for / ($this->for + $this->against);
    }

    /** @return array{float, float} within which it lies in nineteen cases of twenty, as much left out on either side */
    public function interval(): array
    {
        return [$this->quantile(0.025), $this->quantile(0.975)];
    }

    /** @param float $probability 0 to 1 */
    public function quantile(float $probability): float
    {
        [$low, $high] = [0.0, 1.0];
        for ($i = 0; $i < 60; ++$i) {
            $middle = ($low + $high) / 2;
            if ($this->below($middle) < $probability) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }

    /** Probability that it is less than the share, 0 to 1. */
    public function below(float $share): float
    {
        if ($share <= 0.0 || $share >= 1.0) {
            return $share <= 0.0 ? 0.0 : 1.0;
        }
        [$a, $b] = [$this->for, $this->against];
        $front = exp(
            self::logGamma($a + $b) -
                self::logGamma($a) -
                self::logGamma($b) +
                $a * log($share) +
                $b * log1p(-$share),
        );

        return $share < ($a + 1.0) / ($a + $b + 2.0)
            ? ($front * self::fraction($share, $a, $b)) / $a
            : 1.0 - ($front * self::fraction(1.0 - $share, $b, $a)) / $b;
    }

    private static function fraction(float $x, float $a, float $b): float
    {
        $tiny = 1e-300;
        $off = static fn (float $value): float => abs($value) < $tiny ? $tiny : $value;
        $c = 1.0;
        $d = 1.0 / $off(1.0 - (($a + $b) * $x) / ($a + 1.0));
        $sum = $d;
        for ($m = 1; $m <= self::STEPS; ++$m) {
            $even = ($m * ($b - $m) * $x) / (($a + 2 * $m - 1) * ($a + 2 * $m));
            $d = 1.0 / $off(1.0 + $even * $d);
            $c = $off(1.0 + $even / $c);
            $sum *= $d * $c;
            $odd = (-($a + $m) * ($a + $b + $m) * $x) / (($a + 2 * $m) * ($a + 2 * $m + 1));
            $d = 1.0 / $off(1.0 + $odd * $d);
            $c = $off(1.0 + $odd / $c);
            $sum *= $d * $c;
            if (abs($d * $c - 1.0) < 1e-14) {
                break;
            }
        }

        return $sum;
    }

    private static function logGamma(float $x): float
    {
        $y = $x;
        $sum = 1.000_000_000_190_015;
        foreach (self::LANCZOS as $coefficient) {
            $sum += $coefficient / ++$y;
        }
        $t = $x + 5.5;

        return ($x + 0.5) * log($t) - $t + log((2.506_628_274_631_000_5 * $sum) / $x);
    }
}
