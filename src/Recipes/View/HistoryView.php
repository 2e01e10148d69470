<?php

declare(strict_types=1);

namespace App\Recipes\View;

/** What people said it was good for: history, no advice. */
final readonly class HistoryView
{
    /**
     * @param string $says what was said
     * @param string $who  by whom
     */
    public function __construct(public string $says, public string $who)
    {
    }
}
