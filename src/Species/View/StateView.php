<?php

declare(strict_types=1);

namespace App\Species\View;

/** One value a character can take. */
final readonly class StateView
{
    /**
     * @param string $id         its id
     * @param string $label      name people read
     * @param string $definition what the word means
     * @param string $drawing    key of its drawing
     * @param bool   $absence    it says that something looked for is not there
     */
    public function __construct(
        public string $id,
        public string $label,
        public string $definition,
        public string $drawing,
        public bool $absence,
    ) {
    }
}
