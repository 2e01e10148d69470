<?php

declare(strict_types=1);

namespace App\Stock\View;

use App\Hazards\View\HazardView;
use App\Hazards\View\NoRecordView;
use Hylognosis\Flora\Severity;

/** A kind that harms animals, or of which nothing is on record. */
final readonly class StockKindView
{
    /**
     * @param string             $taxon      id of the kind
     * @param string             $name       scientific name
     * @param string             $commonName common name
     * @param Severity           $severity   the worst it does to any animal
     * @param list<HazardView>   $hazards    to animals, the worst first
     * @param list<NoRecordView> $noRecords animals it is not known to harm, which is no proof
     * @param list<HarmSeenView> $seen       with how much; nothing: nobody has written it down
     */
    public function __construct(
        public string $taxon,
        public string $name,
        public string $commonName,
        public Severity $severity,
        public array $hazards,
        public array $noRecords,
        public array $seen,
    ) {
    }
}
