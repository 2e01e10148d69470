<?php

declare(strict_types=1);

namespace App\Species\View;

use App\Hazards\View\HarmView;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Severity;
use Hylognosis\Flora\Taxon;

/** A taxon, in short. */
final readonly class TaxonSummaryView
{
    /**
     * @param string                $id         its id
     * @param string                $name       scientific name
     * @param string                $author     who named it
     * @param string                $family     botanical family
     * @param string                $commonName common name
     * @param list<string>          $otherNames all but the two shown first
     * @param Severity              $severity   the worst it does to a person who takes it for something else
     * @param list<HarmView>        $harms      the worst it does to anybody, in any way
     * @param list<PartSummaryView> $parts      what is taken of it, and what never may be
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $author,
        public string $family,
        public string $commonName,
        public array $otherNames,
        public Severity $severity,
        public array $harms,
        public array $parts,
    ) {
    }

    public static function of(Taxon $taxon): self
    {
        return new self(
            $taxon->id,
            $taxon->name,
            $taxon->names->author,
            $taxon->names->family,
            $taxon->commonName(),
            $taxon->otherNames(),
            $taxon->severity(),
            HarmView::of($taxon),
            array_values(
                array_map(
                    static fn (Part $part): PartSummaryView => new PartSummaryView(
                        $part->id,
                        $part->label,
                        $part->harmful,
                        $part->timing?->window?->words() ?? '',
                    ),
                    $taxon->parts,
                ),
            ),
        );
    }
}
