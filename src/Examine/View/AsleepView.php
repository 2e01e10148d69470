<?php

declare(strict_types=1);

namespace App\Examine\View;

/** A character no tree can show on the day of the examination. */
final readonly class AsleepView
{
    /**
     * @param string $character its id
     * @param string $wakes     the day the first tree shows it, at that place, YYYY-MM-DD
     */
    public function __construct(public string $character, public string $wakes)
    {
    }
}
