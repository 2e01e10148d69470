<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Reason\Reason;

/** Why a look is worth taking. */
final readonly class Why
{
    /** @param list<string> $apart taxa it would help to tell apart */
    public function __construct(public Reason $because, public array $apart)
    {
    }
}
