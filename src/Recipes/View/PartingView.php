<?php

declare(strict_types=1);

namespace App\Recipes\View;

/** Where ways part. */
final readonly class PartingView
{
    /**
     * @param int           $after so many steps come before
     * @param list<WayView> $ways  to choose from
     * @param string        $taken name of the one that is shown
     */
    public function __construct(public int $after, public array $ways, public string $taken)
    {
    }
}
