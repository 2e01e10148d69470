<?php

declare(strict_types=1);

namespace App\Running\View;

use App\Storage\RequestFigures;

/** Requests of one day, or to one route. Times in milliseconds; medians and 95th percentiles are upper bounds of a class of time. */
final readonly class FiguresView
{
    public function __construct(
        /** The day, or the name of the route. */
        public string $of,
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
        return new self($figures->of, $figures->requests, $figures->refused, $figures->failed, $figures->median, $figures->p95, $figures->longest);
    }
}
