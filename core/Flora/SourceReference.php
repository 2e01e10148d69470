<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** Where a fact stands, and whether it was written down from memory of that work. */
final readonly class SourceReference
{
    private function __construct(public string $source, public string $place, public bool $memory)
    {
    }

    /** The same statement is the same object: a flora holds thousands, of a few hundred kinds. */
    public static function of(string $source, string $place, bool $memory): self
    {
        /** @var array<self> $known */
        static $known = [];

        return $known[$source.'|'.$place.'|'.$memory] ??= new self($source, $place, $memory);
    }
}
