<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** What harms, whom, and how. */
final readonly class Hazard
{
    /** @param list<SourceReference> $sources */
    public function __construct(
        public string $part,
        public string $who,
        public string $way,
        public Severity $severity,
        public string $note,
        public array $sources,
    ) {
    }
}
