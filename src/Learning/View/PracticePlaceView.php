<?php

declare(strict_types=1);

namespace App\Learning\View;

use App\Species\View\DescribedView;

/** What one place on a practice tree shows, to be drawn and not to be read. */
final readonly class PracticePlaceView
{
    /**
     * @param string              $place `low`, `crown` or `foot`
     * @param list<DescribedView> $shows without words
     */
    public function __construct(public string $place, public array $shows)
    {
    }
}
