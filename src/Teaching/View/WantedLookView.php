<?php

declare(strict_types=1);

namespace App\Teaching\View;

/** What the month can show on a tree and nobody has looked at. */
final readonly class WantedLookView
{
    /**
     * @param string $character id
     * @param string $label its name
     * @param string $question what is asked
     * @param string $organ which part of the tree
     * @param bool $isSeason it is only seen for a part of the year
     */
    public function __construct(
        public string $character,
        public string $label,
        public string $question,
        public string $organ,
        public bool $isSeason,
    ) {
    }
}
