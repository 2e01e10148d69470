<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** Where a kind differs from its description. */
final readonly class Variants
{
    /**
     * @param array<string, Description> $stages    by life stage
     * @param array<string, Description> $positions by height on the tree
     */
    public function __construct(public array $stages = [], public array $positions = [])
    {
    }
}
