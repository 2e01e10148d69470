<?php

declare(strict_types=1);

namespace App\Hazards\View;

use Hylognosis\Flora\Severity;

/** What harms, whom, and how. */
final readonly class HazardView
{
    public function __construct(public string $part, public string $who, public string $way, public Severity $severity, public string $note)
    {
    }
}
