<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

/** How often a part of a kind may be taken at a place in a year, and how often it was. */
final readonly class Quota
{
    public function __construct(public int $allowed, public int $used)
    {
    }

    public function isUsedUp(): bool
    {
        return $this->used >= $this->allowed;
    }
}
