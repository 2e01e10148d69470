<?php

declare(strict_types=1);

namespace App\Recipes\View;

/** One of several ways to go on. */
final readonly class WayView
{
    /**
     * @param string $name what it is called
     * @param string $when what it is chosen for
     */
    public function __construct(public string $name, public string $when)
    {
    }
}
