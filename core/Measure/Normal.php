<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/** The normal distribution of mean 0 and standard deviation 1. */
final readonly class Normal
{
    /** Deviations from the middle within which a number lies eight times of ten. */
    public const EIGHTY = 1.2815515655446004;

    /**
     * Probability of less than so many standard deviations, to 2e-7.
     *
     * Source: M. Abramowitz & I. Stegun, Handbook of Mathematical Functions (1964), 7.1.26 (memory; checked against
     * SciPy in tests/Reference).
     */
    public static function below(float $deviations): float
    {
        $x = abs($deviations) / \M_SQRT2;
        $t = 1 / (1 + 0.3275911 * $x);
        $tail =
            $t *
            (0.254829592 + $t * (-0.284496736 + $t * (1.421413741 + $t * (-1.453152027 + $t * 1.061405429)))) *
            exp(-$x * $x);

        return $deviations < 0 ? $tail / 2 : 1 - $tail / 2;
    }
}
