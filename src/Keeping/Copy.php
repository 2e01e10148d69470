<?php

declare(strict_types=1);

namespace App\Keeping;

/** A copy of everything. */
final readonly class Copy
{
    public function __construct(
        public string $name,
        public string $path,
        public int $bytes,
        public \DateTimeImmutable $madeAt,
    ) {
    }
}
