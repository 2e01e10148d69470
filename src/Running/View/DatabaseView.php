<?php

declare(strict_types=1);

namespace App\Running\View;

/** Where everything is stored. */
final readonly class DatabaseView
{
    /**
     * @param string   $kind      which database it is
     * @param int      $bytes     size in bytes
     * @param int|null $freeBytes left on its disk; null where it stands elsewhere
     */
    public function __construct(
        /** "SQLite" or "PostgreSQL". */ public string $kind,
        public int $bytes,
        /** Free where it lies, for a file; null for a server of its own. */ public ?int $freeBytes,
    ) {
    }
}
