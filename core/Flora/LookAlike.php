<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** A taxon that gets taken for the wanted one. */
final readonly class LookAlike
{
    /** @param list<string> $decisive characters of which one sure contradiction excludes it, for this pair only */
    public function __construct(
        public string $taxon,
        public Severity $severity,
        public string $note,
        public array $decisive,
    ) {
    }
}
