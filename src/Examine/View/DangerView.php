<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Assessment\DangerReport;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Severity;

/** A dangerous taxon that is not yet excluded. */
final readonly class DangerView
{
    /**
     * @param string       $taxon          id of the taxon
     * @param string       $commonName     common name
     * @param list<string> $contradictions labels of what speaks against it already
     * @param string|null  $would          id of the character that would speak against it; none where nothing in sight
     *                                     today does
     * @param string|null  $wouldLabel     its name
     */
    public function __construct(
        public string $taxon,
        public string $commonName,
        public Severity $severity,
        public array $contradictions,
        public ?string $would,
        public ?string $wouldLabel,
    ) {
    }

    public static function of(DangerReport $report, Flora $flora): self
    {
        $taxon = $report->danger->taxon;

        return new self(
            $taxon->id,
            $taxon->commonName(),
            $report->danger->severity,
            self::against($report, $flora),
            $report->lookAt?->id,
            $report->lookAt?->label,
        );
    }

    /** @return list<string> labels of the characters that speak against it for sure */
    public static function against(DangerReport $report, Flora $flora): array
    {
        return array_map(
            static fn (string $id): string => $flora->character($id)->label,
            array_keys($report->danger->contradictions),
        );
    }
}
