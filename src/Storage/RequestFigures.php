<?php

declare(strict_types=1);

namespace App\Storage;

/** What was counted of one route, or of one day. Times are in milliseconds. */
final readonly class RequestFigures
{
    public function __construct(
        /** Name of the route, or the day. */
        public string $of,
        public int $requests,
        /** Answered with a status from 400 to 499: the asker was told what is wrong. */
        public int $refused,
        /** Answered with a status of 500 or more. */
        public int $failed,
        /** Half of them were answered within this. */
        public int $median,
        /** 95 of a hundred were answered within this. */
        public int $p95,
        public int $longest,
    ) {
    }
}
