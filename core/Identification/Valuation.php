<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

/** What a look at a character is worth to somebody. */
interface Valuation
{
    public function of(CompiledCharacter $character): Worth;

    /** Why it is worth looking, and which taxa it would help to part. */
    public function why(CompiledCharacter $character): Why;
}
