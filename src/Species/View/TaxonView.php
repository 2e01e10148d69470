<?php

declare(strict_types=1);

namespace App\Species\View;

use App\Harvest\View\HarvestView;
use App\Hazards\View\HarmView;
use App\Hazards\View\HazardView;
use App\Hazards\View\NoRecordView;
use App\Season\View\MonthView;
use Hylognosis\Flora\Severity;

/** The notebook page of a species. */
final readonly class TaxonView
{
    /**
     * @param string              $id            its id
     * @param string              $name          scientific name
     * @param string              $author        who named it
     * @param string              $family        botanical family
     * @param list<string>        $synonyms      older scientific names
     * @param list<string>        $commonNames   the usual one first
     * @param list<string>        $misleading    what is wrong with its common names
     * @param string              $meaning       what the scientific name means; may be empty
     * @param string              $fruitSet      what it takes to set fruit; may be empty
     * @param string              $origin        where it comes from
     * @param bool                $protected     whether it is protected
     * @param string              $statusNote    what is to be said of that; may be empty
     * @param string              $summary       the tree in a few sentences
     * @param list<DescribedView> $description   what it shows, character by character
     * @param list<HarmView>      $harms         the worst it does to anybody, in any way
     * @param list<HazardView>    $hazards       whom it harms, how and how badly
     * @param list<NoRecordView>  $noRecords     whom it is not known to harm
     * @param list<PartView>      $parts         what is taken of it, and what never may be
     * @param list<MonthView>     $months        what it shows through the year at the reference place
     * @param list<string>        $sources       where it is said
     * @param list<HarvestView>   $harvests      newest first
     * @param list<FigureView>    $figures       all kinds, or none where nothing is known
     * @param list<string>        $figureSources where they are said
     * @param list<string>        $parents       of a hybrid, taxon ids
     * @param list<NeverView>     $nevers        what it never shows
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $author,
        public string $family,
        public array $synonyms,
        public array $commonNames,
        public array $misleading,
        public string $meaning,
        public string $fruitSet,
        public string $origin,
        public bool $protected,
        public string $statusNote,
        public Severity $severity,
        public array $harms,
        public string $summary,
        public array $description,
        public array $hazards,
        public array $noRecords,
        public array $parts,
        public array $months,
        public array $sources,
        public array $harvests,
        public array $figures,
        public array $figureSources,
        public array $parents,
        public array $nevers,
    ) {
    }
}
