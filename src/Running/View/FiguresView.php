<?php

declare(strict_types=1);

namespace App\Running\View;

use App\Storage\RequestFigures;

/**
 * Requests of one day, or to one route. Times in milliseconds; medians and 95th percentiles are upper bounds of a class
 * of time.
 */
final readonly class FiguresView
{
    /**
     * @param string $of                  the day or the address they are of
     * @param int    $requests            how many
     * @param int    $refused             answers 400 to 499
     * @param int    $failed              answers 500 to 599
     * @param int    $medianMilliseconds  of an answer
     * @param int    $p95Milliseconds     within which nineteen of twenty were answered
     * @param int    $longestMilliseconds of the slowest answer
     */
    public function __construct(
        /** The day, or the name of the route. */ public string $of,
        public int $requests,
        public int $refused,
        public int $failed,
        public int $medianMilliseconds,
        public int $p95Milliseconds,
        public int $longestMilliseconds,
    ) {
    }

    public static function from(RequestFigures $figures): self
    {
        return new self(
            $figures->of,
            $figures->requests,
            $figures->refused,
            $figures->failed,
            $figures->median,
            $figures->p95,
            $figures->longest,
        );
    }
}
