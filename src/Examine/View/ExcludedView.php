<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Assessment\DangerReport;

/** A dangerous taxon that is excluded. What excludes it is asked for by its id. */
final readonly class ExcludedView
{
    /**
     * @param string $taxon      id of the taxon
     * @param string $commonName common name
     */
    public function __construct(public string $taxon, public string $commonName)
    {
    }

    public static function of(DangerReport $report): self
    {
        return new self($report->danger->taxon->id, $report->danger->taxon->commonName());
    }
}
