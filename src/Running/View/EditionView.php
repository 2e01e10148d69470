<?php

declare(strict_types=1);

namespace App\Running\View;

final readonly class EditionView
{
    public function __construct(
        public string $name,
        public string $title,
        public string $edition,
        /** The first twelve digits. */
        public string $hash,
    ) {
    }
}
