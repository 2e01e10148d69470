<?php

declare(strict_types=1);

namespace App\Teaching\View;

/** Whom to ask what next time. */
final readonly class NextView
{
    /**
     * @param string $who id
     * @param string $name name
     * @param string $character id
     * @param string $label of the character
     */
    public function __construct(
        public string $who,
        public string $name,
        public string $character,
        public string $label,
    ) {
    }
}
