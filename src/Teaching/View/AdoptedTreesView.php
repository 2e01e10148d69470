<?php

declare(strict_types=1);

namespace App\Teaching\View;

/** Trees that are looked at for a year. */
final readonly class AdoptedTreesView
{
    /**
     * @param list<AdoptedTreeView> $trees one’s own; of all for an instructor
     */
    public function __construct(
        public array $trees,
    ) {
    }
}
