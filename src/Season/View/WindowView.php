<?php

declare(strict_types=1);

namespace App\Season\View;

use Hylognosis\Season\ExpectedWindow;

/** A window of one year, with how sure its ends are. */
final readonly class WindowView
{
    /**
     * @param DayView $from  first day
     * @param DayView $to    last day
     * @param int     $seen  own dates that bear on it
     * @param bool    $fixed it moves with nothing
     */
    public function __construct(public DayView $from, public DayView $to, public int $seen, public bool $fixed)
    {
    }

    public static function of(ExpectedWindow $window): self
    {
        return new self(DayView::of($window->from), DayView::of($window->to), $window->seen, $window->isFixed);
    }
}
