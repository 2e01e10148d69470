<?php

declare(strict_types=1);

namespace App\Harvest\View;

/** What stood there before it was corrected. */
final readonly class CorrectionView
{
    /**
     * @param string $at      day, YYYY-MM-DD
     * @param string $by      who corrected it
     * @param string $because why
     * @param string $amount  that stood there, in words
     */
    public function __construct(public string $at, public string $by, public string $because, public string $amount)
    {
    }
}
