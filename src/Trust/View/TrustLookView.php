<?php

declare(strict_types=1);

namespace App\Trust\View;

use Hylognosis\Learning\TrustOutcome;

/** One look that counts. */
final readonly class TrustLookView
{
    /**
     * @param string       $on  day, YYYY-MM-DD
     * @param string       $at  tag of the tree; empty for a practice tree
     * @param string|null  $tree id of the tree; null for a practice tree
     */
    public function __construct(
        public TrustOutcome $outcome,
        public string $on,
        public string $at,
        public ?string $tree,
    ) {
    }
}
