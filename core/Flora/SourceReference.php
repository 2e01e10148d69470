<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** Where a fact stands, and whether it was written down from memory of that work. */
final readonly class SourceReference
{
    public function __construct(public string $source, public string $place, public bool $memory)
    {
    }
}
