<?php

declare(strict_types=1);

namespace App\Species\View;

/** How often a state occurs in a taxon. */
final readonly class StateShareView
{
    /**
     * @param string $state   id of the state
     * @param string $label   name people read
     * @param string $drawing key of its drawing
     * @param float  $share   how often the taxon shows it, 0 to 1
     */
    public function __construct(
        public string $state,
        public string $label,
        public string $drawing,
        public float $share,
    ) {
    }
}
