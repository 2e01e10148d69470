<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

/** What the engine says of the scores so far. */
final readonly class Verdict
{
    /**
     * @param bool         $open whether points 1 to 5 of the gate are met and nothing bars it
     * @param list<string> $next characters worth looking at, best first
     */
    public function __construct(public bool $open, public array $next)
    {
    }
}
