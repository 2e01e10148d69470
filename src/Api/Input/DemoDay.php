<?php

declare(strict_types=1);

namespace App\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** The day the demo takes for today. */
final readonly class DemoDay
{
    public function __construct(
        #[Assert\Date(message: 'Write the day like 2027-06-14.')]
        public string $day,
    ) {
    }
}
