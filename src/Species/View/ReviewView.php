<?php

declare(strict_types=1);

namespace App\Species\View;

use Hylognosis\Flora\ReviewVerdict;

/** What one person said of a stated never. */
final readonly class ReviewView
{
    public function __construct(public string $who, public string $on, public ReviewVerdict $verdict, public string $note)
    {
    }
}
