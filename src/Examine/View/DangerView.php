<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Flora\Severity;

/** A dangerous taxon not to be confused with. */
final readonly class DangerView
{
    /**
     * @param list<string> $contradictions labels of what speaks against it for sure
     * @param list<LineView> $lines         the stated nevers that speak against it
     * @param string|null  $would          id of the character that would speak against it
     */
    public function __construct(
        public string $taxon, public string $name, public string $commonName, public Severity $severity, public float $posterior,
        public bool $excluded, public array $contradictions, public ?string $would, public ?string $wouldLabel, public array $lines,
    ) {
    }
}
