<?php

declare(strict_types=1);

namespace App\Running\View;

/** How much there is of something. */
final readonly class CountView
{
    /**
     * @param string $table what is counted
     * @param int    $rows  how many
     */
    public function __construct(public string $table, public int $rows)
    {
    }
}
