<?php

declare(strict_types=1);

namespace App\Season\View;

use Hylognosis\Flora\Phenophase;

/** When a kind shows something, at a place. */
final readonly class ExpectedView
{
    /**
     * @param int $from day of the year, 1 to 365
     * @param int $to   day of the year; before the first where it goes around the turn of the year
     */
    public function __construct(public Phenophase $phase, public int $from, public int $to)
    {
    }
}
