<?php

declare(strict_types=1);

namespace App\Season\View;

/** A day one could go, and how much there is to do. */
final readonly class PlanDayView
{
    /**
     * @param string $day   YYYY-MM-DD
     * @param int    $take  parts whose window is likely open
     * @param int    $look  parts whose trees are to be looked at then
     */
    public function __construct(public string $day, public int $take, public int $look)
    {
    }
}
