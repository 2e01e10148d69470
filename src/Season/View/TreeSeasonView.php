<?php

declare(strict_types=1);

namespace App\Season\View;

/** A tree’s year: what was seen of it, and what is to come. */
final readonly class TreeSeasonView
{
    /**
     * @param list<EventView>         $events   that were seen, the last first
     * @param list<ExpectedEventView> $expected of this year, in the order they come
     */
    public function __construct(public array $events, public array $expected)
    {
    }
}
