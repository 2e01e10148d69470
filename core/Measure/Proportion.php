<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/**
 * So many events in so many trials, and what that says of the rate behind them. All bounds are for 95 %.
 *
 * Sources: E. B. Wilson, J. Am. Stat. Assoc. 22 (1927) 209–212; C. J. Clopper & E. S. Pearson, Biometrika 26 (1934)
 * 404–413 (both from memory; checked against SciPy in tests/Reference).
 */
final readonly class Proportion
{
    /** Two-sided 95 % of the normal distribution. */
    private const Z = 1.959963984540054;

    private function __construct(public int $events, public int $trials)
    {
    }

    /** @throws \InvalidArgumentException unless 0 ≤ events ≤ trials and there is a trial */
    public static function of(int $events, int $trials): self
    {
        return $trials >= 1 && $events >= 0 && $events <= $trials
            ? new self($events, $trials)
            : throw new \InvalidArgumentException(
                \sprintf('%d events in %d trials is no proportion.', $events, $trials),
            );
    }

    public function share(): float
    {
        return $this->events / $this->trials;
    }

    /** @return array{float, float} Wilson's two-sided interval */
    public function wilson(): array
    {
        $n = $this->trials;
        $p = $this->share();
        $z2 = self::Z ** 2;
        $middle = ($p + $z2 / (2 * $n)) / (1 + $z2 / $n);
        $half = (self::Z / (1 + $z2 / $n)) * sqrt(($p * (1 - $p)) / $n + $z2 / (4 * $n * $n));

        return [max(0.0, $middle - $half), min(1.0, $middle + $half)];
    }

    /** @return array{float, float} Clopper and Pearson's exact two-sided interval */
    public function clopperPearson(): array
    {
        return [
            0 === $this->events ? 0.0 : self::betaQuantile(0.025, $this->events, $this->trials - $this->events + 1),
            $this->events === $this->trials
                ? 1.0
                : self::betaQuantile(0.975, $this->events + 1, $this->trials - $this->events),
        ];
    }

    /** Exact one-sided upper bound; about 3/n where nothing was seen in n trials. */
    public function upperBound(): float
    {
        return $this->events === $this->trials
            ? 1.0
            : self::betaQuantile(0.95, $this->events + 1, $this->trials - $this->events);
    }

    /** The share below which a beta-distributed number falls with the given probability; by bisection, to 1e-14. */
    private static function betaQuantile(float $probability, int $a, int $b): float
    {
        [$low, $high] = [0.0, 1.0];
        while ($high - $low > 1e-14) {
            $middle = ($low + $high) / 2;
            if (self::betaBelow($middle, $a, $b) < $probability) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }

    /**
     * Regularised incomplete beta function for whole a and b: the chance of at least a events in a + b − 1 trials,
     * summed from its largest term.
     */
    private static function betaBelow(float $x, int $a, int $b): float
    {
        if ($x <= 0.0 || $x >= 1.0) {
            return $x <= 0.0 ? 0.0 : 1.0;
        }
        $n = $a + $b - 1;
        $term =
            self::logFactorial($n) -
            self::logFactorial($a) -
            self::logFactorial($n - $a) +
            $a * log($x) +
            ($n - $a) * log1p(-$x);
        $odds = $x / (1 - $x);
        $sum = $share = 1.0;
        for ($k = $a; $k < $n; ++$k) {
            $share *= (($n - $k) / ($k + 1)) * $odds;
            $sum += $share;
            if ($share < $sum * 1e-17 && $k > $n * $x) {
                break;
            }
        }

        return min(1.0, exp($term + log($sum)));
    }

    /** Exact to 1e-12 and better: summed up to 256, by Stirling's series above. */
    private static function logFactorial(int $n): float
    {
        if ($n < 256) {
            $sum = 0.0;
            for ($k = 2; $k <= $n; ++$k) {
                $sum += log($k);
            }

            return $sum;
        }
        $x = $n + 1.0;

        return ($x - 0.5) * log($x) -
            $x +
            0.5 * log(2 * \M_PI) +
            1 / (12 * $x) -
            1 / (360 * $x ** 3) +
            1 / (1260 * $x ** 5);
    }
}
