<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/** A symmetric positive definite matrix, taken apart once: M = L·Lᵀ. */
final readonly class Cholesky
{
    /** @param array<int, list<float>> $lower L; row i has i + 1 entries */
    private function __construct(private array $lower)
    {
    }

    /**
     * @param array<int, array<int, float>> $matrix its lower half is read
     *
     * @throws \DomainException if it is not positive definite
     */
    public static function of(array $matrix): self
    {
        $lower = [];
        foreach ($matrix as $i => $row) {
            $own = [];
            for ($j = 0; $j <= $i; ++$j) {
                $other = $j === $i ? $own : $lower[$j];
                $sum = $row[$j];
                for ($k = 0; $k < $j; ++$k) {
                    $sum -= $own[$k] * $other[$k];
                }
                if ($j === $i) {
                    if ($sum <= 0.0) {
                        throw new \DomainException('The matrix is not positive definite.');
                    }
                    $own[] = sqrt($sum);
                } else {
                    $own[] = $sum / $other[$j];
                }
            }
            $lower[] = $own;
        }

        return new self($lower);
    }

    /**
     * @param array<int, float> $right
     *
     * @return list<float> L⁻¹ times it
     */
    public function forward(array $right): array
    {
        $solved = [];
        foreach ($this->lower as $i => $row) {
            $sum = $right[$i];
            for ($k = 0; $k < $i; ++$k) {
                $sum -= $row[$k] * $solved[$k];
            }
            $solved[] = $sum / $row[$i];
        }

        return $solved;
    }

    /**
     * @param array<int, float> $right
     *
     * @return list<float> M⁻¹ times it
     */
    public function solve(array $right): array
    {
        $y = $this->forward($right);
        $size = \count($this->lower);
        for ($i = $size - 1; $i >= 0; --$i) {
            $sum = $y[$i];
            for ($k = $i + 1; $k < $size; ++$k) {
                $sum -= $this->lower[$k][$i] * $y[$k];
            }
            $y[$i] = $sum / $this->lower[$i][$i];
        }

        return array_values($y);
    }
}
