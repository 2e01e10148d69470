<?php

declare(strict_types=1);

namespace App\Season\View;

use Hylognosis\Season\SeasonalEvent;

/** An event of this year, seen or expected. */
final readonly class ExpectedEventView
{
    /**
     * @param SeasonalEvent $event which
     * @param string        $words in words
     * @param DayView|null  $day   when it is expected; null where its kind is not known, or covered
     * @param string|null   $seen  the day it was seen on, YYYY-MM-DD
     */
    public function __construct(
        public SeasonalEvent $event,
        public string $words,
        public ?DayView $day,
        public ?string $seen,
    ) {
    }
}
