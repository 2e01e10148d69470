<?php

declare(strict_types=1);

namespace App\Demo\Input;

use App\Web\Input\Day;

/** The day the demo takes for today. */
final readonly class DemoDay
{
    /**
     * @param string $day the day the demo takes for today, YYYY-MM-DD
     */
    public function __construct(#[Day] public string $day)
    {
    }
}
