<?php

declare(strict_types=1);

namespace App\Running\View;

/** A failure on our side. Its number finds it in the log. */
final readonly class FaultView
{
    /**
     * @param string $at     day and time, ISO 8601
     * @param string $number of the request, as it stands in the log
     * @param string $route  which address was asked
     * @param string $what   what went wrong
     */
    public function __construct(public string $at, public string $number, public string $route, public string $what)
    {
    }
}
