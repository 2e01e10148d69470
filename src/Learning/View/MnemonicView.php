<?php

declare(strict_types=1);

namespace App\Learning\View;

/** By what somebody remembers it. */
final readonly class MnemonicView
{
    /**
     * @param string $text     in his own words
     * @param string $by       whose
     * @param bool   $isOwn    the reader's own
     * @param bool   $isShared shown to others too
     */
    public function __construct(
        public string $text,
        public string $by,
        public bool $isOwn,
        public bool $isShared,
    ) {
    }
}
