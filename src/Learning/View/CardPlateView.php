<?php

declare(strict_types=1);

namespace App\Learning\View;

use App\Species\View\DescribedView;

/** One drawing on a card. */
final readonly class CardPlateView
{
    /**
     * @param string              $letter by which it is named; empty where it stands alone
     * @param list<DescribedView> $shows  of what it is drawn
     */
    public function __construct(public string $letter, public array $shows)
    {
    }
}
