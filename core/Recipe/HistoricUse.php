<?php

declare(strict_types=1);

namespace Hylognosis\Recipe;

/** What people said it was good for, and who: history, no advice, and never with a dose. */
final readonly class HistoricUse
{
    public function __construct(public string $says, public string $who)
    {
    }
}
