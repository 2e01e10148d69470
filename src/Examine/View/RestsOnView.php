<?php

declare(strict_types=1);

namespace App\Examine\View;

/** An examination a kind rests on. */
final readonly class RestsOnView
{
    /**
     * @param string $examination its id
     * @param string $on          day, YYYY-MM-DD
     * @param string $by          who looked
     */
    public function __construct(public string $examination, public string $on, public string $by)
    {
    }
}
