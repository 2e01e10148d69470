<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

/** What was found about the part itself, with the part in view, on a day. */
final readonly class ConditionAnswer
{
    public function __construct(public bool $found, public \DateTimeImmutable $on)
    {
    }
}
