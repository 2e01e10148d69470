<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** A coarser word for several states of a character: who sees that it is toothed need not say how. */
final readonly class StateGroup
{
    /** @param non-empty-list<string> $states ids */
    public function __construct(
        public string $id,
        public string $label,
        public string $definition,
        public array $states,
    ) {
    }
}
