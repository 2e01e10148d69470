<?php

declare(strict_types=1);

namespace App\Season\View;

/** The private address of a calendar. */
final readonly class FeedView
{
    /**
     * @param bool        $set  there is one
     * @param string|null $path of it, told once; null afterwards
     */
    public function __construct(public bool $set, public ?string $path)
    {
    }
}
