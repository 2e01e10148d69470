<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

/** Values one look can read, and how likely that is. */
final readonly class ReadValues
{
    /**
     * @param non-empty-list<string|float> $values
     * @param float                        $probability 0 to 1
     */
    public function __construct(public array $values, public float $probability)
    {
    }
}
