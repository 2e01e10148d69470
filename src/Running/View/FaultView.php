<?php

declare(strict_types=1);

namespace App\Running\View;

/** A failure on our side. Its number finds it in the log. */
final readonly class FaultView
{
    public function __construct(public string $at, public string $number, public string $route, public string $what)
    {
    }
}
