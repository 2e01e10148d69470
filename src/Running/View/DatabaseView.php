<?php

declare(strict_types=1);

namespace App\Running\View;

final readonly class DatabaseView
{
    public function __construct(
        /** "SQLite" or "PostgreSQL". */
        public string $kind,
        public int $bytes,
        /** Free where it lies, for a file; null for a server of its own. */
        public ?int $freeBytes,
    ) {
    }
}
