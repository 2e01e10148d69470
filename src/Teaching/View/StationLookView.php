<?php

declare(strict_types=1);

namespace App\Teaching\View;

/** A look that a tree can be used for today. */
final readonly class StationLookView
{
    /**
     * @param string $character id
     * @param string $label its name
     * @param string $question what is asked
     * @param string $hint how to look
     * @param bool $isConfused somebody of the group misreads it
     */
    public function __construct(
        public string $character,
        public string $label,
        public string $question,
        public string $hint,
        public bool $isConfused,
    ) {
    }
}
