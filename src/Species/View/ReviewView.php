<?php

declare(strict_types=1);

namespace App\Species\View;

use Hylognosis\Flora\ReviewVerdict;

/** What one person said of a stated never. */
final readonly class ReviewView
{
    /**
     * @param string $who  who has read it
     * @param string $on   day, YYYY-MM-DD
     * @param string $note in a sentence; empty where there is none
     */
    public function __construct(
        public string $who,
        public string $on,
        public ReviewVerdict $verdict,
        public string $note,
    ) {
    }
}
