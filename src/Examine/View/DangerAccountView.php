<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Assessment\DangerReport;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Severity;

/** A dangerous taxon, with all that speaks against it. */
final readonly class DangerAccountView
{
    /**
     * @param string         $taxon          id of the taxon
     * @param string         $name           scientific name
     * @param string         $commonName     common name
     * @param float          $posterior      probability given what was scored, 0 to 1
     * @param bool           $excluded       whether it is excluded
     * @param list<string>   $contradictions labels of what speaks against it for sure
     * @param string|null    $would          id of the character that would speak against it; none where nothing in
     *                                       sight today does
     * @param string|null    $wouldLabel     its name
     * @param list<LineView> $lines          the stated nevers that speak against it
     */
    public function __construct(
        public string $taxon,
        public string $name,
        public string $commonName,
        public Severity $severity,
        public float $posterior,
        public bool $excluded,
        public array $contradictions,
        public ?string $would,
        public ?string $wouldLabel,
        public array $lines,
    ) {
    }

    public static function of(DangerReport $report, Flora $flora): self
    {
        $danger = $report->danger;
        $lines = [];
        foreach (array_merge(...array_values($danger->contradictions)) as $line) {
            $lines[$line->id] = new LineView(
                $line->id,
                $flora->character($line->character)->label,
                $line->reason,
                $line->agreements(),
            );
        }

        return new self(
            $danger->taxon->id,
            $danger->taxon->name,
            $danger->taxon->commonName(),
            $danger->severity,
            $report->posterior,
            $danger->isExcluded(),
            DangerView::against($report, $flora),
            $report->lookAt?->id,
            $report->lookAt?->label,
            array_values($lines),
        );
    }
}
