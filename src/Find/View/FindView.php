<?php

declare(strict_types=1);

namespace App\Find\View;

use App\Examine\View\ExaminationSummaryView;
use App\Trees\View\SiteView;
use App\Trees\View\SpecimenView;

/** All that answers a search, a few of each. */
final readonly class FindView
{
    /**
     * @param list<FoundKindView>          $kinds        names first, and of those the most dangerous first
     * @param list<SpecimenView>           $trees        by tag
     * @param list<SiteView>               $places       by name
     * @param list<ExaminationSummaryView> $examinations one’s own that are open, at trees or of hopes that answer
     */
    public function __construct(
        public array $kinds,
        public array $trees,
        public array $places,
        public array $examinations,
    ) {
    }
}
