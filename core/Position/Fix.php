<?php

declare(strict_types=1);

namespace Hylognosis\Position;

use Hylognosis\Measure\Length;

/** Where a receiver says it is. */
final readonly class Fix
{
    /**
     * @param float       $latitude    degrees, WGS 84, north above 0
     * @param float       $longitude   degrees, east above 0
     * @param Length|null $altitude    above mean sea level; null where it does not say
     * @param Length|null $uncertainty radius within which it is with a probability of about two in three; null where
     *                                 nothing of that is said
     * @param int|null    $satellites  in use
     * @param string      $time        of the day in UTC, `10:41:23`; empty where it does not say
     */
    public function __construct(
        public float $latitude,
        public float $longitude,
        public ?Length $altitude,
        public ?Length $uncertainty,
        public ?int $satellites,
        public string $time,
    ) {
    }
}
