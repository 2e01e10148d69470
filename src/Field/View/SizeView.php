<?php

declare(strict_types=1);

namespace App\Field\View;

/** What taking along would take. */
final readonly class SizeView
{
    /**
     * @param int    $bytes about so many, the first time
     * @param string $until last day it would be gone by, YYYY-MM-DD
     */
    public function __construct(public int $bytes, public string $until)
    {
    }
}
