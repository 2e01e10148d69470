<?php

declare(strict_types=1);

namespace Hylognosis\Processing;

/** Whole things shared out by weight, so that none is lost: the largest remainders are rounded up. */
final readonly class Portions
{
    /**
     * @param int         $whole   0 or more
     * @param list<float> $weights each more than 0
     *
     * @return list<int> that add up to the whole
     *
     * @throws \InvalidArgumentException if there is nobody to share with, or a weight is none
     */
    public static function of(int $whole, array $weights): array
    {
        if ([] === $weights || min($weights) <= 0.0 || $whole < 0) {
            throw new \InvalidArgumentException('Something is shared out among those that weigh something.');
        }
        $exact = array_map(static fn (float $w): float => ($whole * $w) / array_sum($weights), $weights);
        $portions = array_map(static fn (float $e): int => (int) floor($e), $exact);
        $rest = array_map(static fn (float $e): float => $e - floor($e), $exact);
        arsort($rest);
        foreach (\array_slice(array_keys($rest), 0, $whole - array_sum($portions)) as $i) {
            ++$portions[$i];
        }

        return array_values($portions);
    }
}
