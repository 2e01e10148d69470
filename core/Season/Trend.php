<?php

declare(strict_types=1);

namespace Hylognosis\Season;

/** A straight line through the days of an event over the years, by least squares. */
final readonly class Trend
{
    /**
     * @param float $perDecade days later in ten years
     * @param float $error     standard error of that
     */
    private function __construct(public float $perDecade, public float $error)
    {
    }

    /**
     * @param array<int, float> $days year → day, from any start
     *
     * @return self|null none with fewer than three years
     */
    public static function of(array $days): ?self
    {
        $count = \count($days);
        if ($count < 3) {
            return null;
        }
        $years = array_keys($days);
        $meanYear = array_sum($years) / $count;
        $mean = array_sum($days) / $count;
        $square = $product = 0.0;
        foreach ($days as $year => $day) {
            $square += ($year - $meanYear) ** 2;
            $product += ($year - $meanYear) * ($day - $mean);
        }
        $slope = $product / $square;
        $rest = 0.0;
        foreach ($days as $year => $day) {
            $rest += ($day - $mean - $slope * ($year - $meanYear)) ** 2;
        }

        return new self(10 * $slope, 10 * sqrt($rest / ($count - 2) / $square));
    }
}
