<?php

declare(strict_types=1);

namespace Hylognosis\Recipe;

/** One of several ways to go on. */
final readonly class Branch
{
    /**
     * @param string              $when  what it is chosen for
     * @param non-empty-list<Step> $steps
     */
    public function __construct(public string $name, public string $when, public array $steps)
    {
    }
}
