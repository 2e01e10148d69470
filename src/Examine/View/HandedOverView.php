<?php

declare(strict_types=1);

namespace App\Examine\View;

/** Who had an examination before somebody else went on with it. */
final readonly class HandedOverView
{
    /**
     * @param string $name   who had it
     * @param string $on     day it was handed over, YYYY-MM-DD
     * @param int    $scores recorded until then
     */
    public function __construct(public string $name, public string $on, public int $scores)
    {
    }
}
