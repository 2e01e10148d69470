<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** One value a character can take. */
final readonly class State
{
    /**
     * @param string $definition one line a beginner can score by
     * @param string $drawing    key of its line drawing
     * @param bool   $absence    "looked for, not there": evidence like any other state
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
