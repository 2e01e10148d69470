<?php

declare(strict_types=1);

namespace App\Storm\View;

/** Storms and the walks after them. */
final readonly class StormsView
{
    /**
     * @param list<GaleView>      $waiting the hardest first
     * @param list<StormWalkView> $walks   the last first
     * @param float               $from    metres per second from which a gust is a reason to go round
     */
    public function __construct(public array $waiting, public array $walks, public float $from)
    {
    }
}
