<?php

declare(strict_types=1);

namespace App\Recipes\View;

use Hylognosis\Measure\TimeSpan;
use Hylognosis\Measure\TimeUnit;

/** How long something takes. */
final readonly class SpanView
{
    /**
     * @param float    $least from so long
     * @param float    $most  to so long
     * @param TimeUnit $unit  in this unit
     */
    private function __construct(public float $least, public float $most, public TimeUnit $unit)
    {
    }

    public static function of(?TimeSpan $span): ?self
    {
        return null === $span ? null : new self($span->least, $span->most, $span->unit);
    }
}
