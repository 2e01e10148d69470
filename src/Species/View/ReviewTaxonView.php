<?php

declare(strict_types=1);

namespace App\Species\View;

use Hylognosis\Flora\Severity;

/** What one taxon never shows. */
final readonly class ReviewTaxonView
{
    /** @param list<NeverView> $nevers */
    public function __construct(public string $id, public string $name, public string $commonName, public Severity $severity, public array $nevers)
    {
    }
}
