<?php

declare(strict_types=1);

namespace App\Species\View;

use App\Harvest\View\HarvestView;
use App\Hazards\View\HazardView;
use App\Season\View\MonthView;
use Hylognosis\Flora\Severity;

/** The notebook page of a species. */
final readonly class TaxonView
{
    /**
     * @param list<string>        $synonyms
     * @param list<string>        $commonNames
     * @param list<string>        $misleading  what is wrong with its common names
     * @param list<DescribedView> $description
     * @param list<HazardView>    $hazards
     * @param list<PartView>      $parts
     * @param list<MonthView>     $months
     * @param list<string>        $sources
     * @param list<HarvestView>   $harvests    newest first
     * @param list<FigureView>    $figures     all kinds, or none where nothing is known
     * @param list<string>        $figureSources
     * @param list<NeverView>     $nevers      what it never shows
     * @param list<string>        $parents     of a hybrid, taxon ids
     */
    public function __construct(
        public string $id, public string $name, public string $author, public string $family, public array $synonyms, public array $commonNames, public array $misleading, public string $meaning, public string $fruitSet,
        public string $origin, public bool $protected, public string $statusNote, public Severity $severity, public string $summary,
        public array $description, public array $hazards, public array $parts, public array $months, public array $sources, public array $harvests, public array $figures, public array $figureSources, public array $parents, public array $nevers,
    ) {
    }
}
