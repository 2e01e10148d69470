<?php

declare(strict_types=1);

namespace App\Storm\Input;

use App\Storm\Ended;

/** How an alarm ended. */
final readonly class AlarmEnd
{
    public function __construct(public Ended $how)
    {
    }
}
