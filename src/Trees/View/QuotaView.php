<?php

declare(strict_types=1);

namespace App\Trees\View;

/** How often something may be taken at a place in a year, and how often it was. */
final readonly class QuotaView
{
    /**
     * @param string $what    "taxon/part"
     * @param string $label   in words
     * @param int    $allowed times a year
     * @param int    $used    times this year
     */
    public function __construct(public string $what, public string $label, public int $allowed, public int $used)
    {
    }
}
