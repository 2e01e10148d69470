<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** A character that makes sense only where another one shows one of certain states: needle bands want needles. */
final readonly class Applicability
{
    /** @param list<string> $states */
    public function __construct(public string $character, public array $states)
    {
    }
}
