<?php

declare(strict_types=1);

namespace Hylognosis\Recipe;

use Hylognosis\Measure\TimeSpan;

/** How long and where something keeps, and how one sees that it does no more. */
final readonly class Keeping
{
    public function __construct(public string $as, public TimeSpan $for, public string $where, public string $spoils)
    {
    }
}
