<?php

declare(strict_types=1);

namespace App\Api\Input;

/** The day the demo takes for today. */
final readonly class DemoDay
{
    public function __construct(
        #[Day]
        public string $day,
    ) {
    }
}
