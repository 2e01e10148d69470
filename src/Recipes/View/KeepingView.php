<?php

declare(strict_types=1);

namespace App\Recipes\View;

/** How long and where something keeps. */
final readonly class KeepingView
{
    /**
     * @param string   $as     in which form
     * @param SpanView $for    so long
     * @param string   $where  in what, and where
     * @param string   $spoils how one sees that it keeps no more
     */
    public function __construct(public string $as, public SpanView $for, public string $where, public string $spoils)
    {
    }
}
