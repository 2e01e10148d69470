<?php

declare(strict_types=1);

namespace App\Species\View;

/** A coarser word for several states. */
final readonly class StateGroupView
{
    /**
     * @param string       $id         its id
     * @param string       $label      the coarser word
     * @param string       $definition what the word means
     * @param list<string> $states     ids of the states it stands for
     */
    public function __construct(
        public string $id,
        public string $label,
        public string $definition,
        public array $states,
    ) {
    }
}
