<?php

declare(strict_types=1);

namespace App\Learning\View;

/** Two kinds one of which was taken for the other. */
final readonly class KindPairView
{
    /**
     * @param string $was   common name of what it was
     * @param string $said  common name of what it was taken for
     * @param int    $times how often
     */
    public function __construct(public string $was, public string $said, public int $times)
    {
    }
}
