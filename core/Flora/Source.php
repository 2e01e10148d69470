<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** A work that facts of a flora can be checked in. */
final readonly class Source
{
    public function __construct(
        public string $id,
        public string $title,
        public string $author,
        public string $year,
        public string $note,
    ) {
    }
}
