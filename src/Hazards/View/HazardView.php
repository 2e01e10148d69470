<?php

declare(strict_types=1);

namespace App\Hazards\View;

use Hylognosis\Flora\Severity;

/** What harms, whom, and how. */
final readonly class HazardView
{
    /**
     * @param string $part which part harms
     * @param string $who  whom: people, horses, cattle …
     * @param string $way  how: eaten, touched, breathed in …
     * @param string $note in a sentence; empty where there is none
     */
    public function __construct(
        public string $part,
        public string $who,
        public string $way,
        public Severity $severity,
        public string $note,
    ) {
    }
}
