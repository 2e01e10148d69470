<?php

declare(strict_types=1);

namespace App\Find\View;

use App\Hazards\View\HarmView;
use Hylognosis\Flora\Severity;

/** A kind that answers a search. */
final readonly class FoundKindView
{
    /**
     * @param string         $taxon      its id
     * @param string         $commonName common name
     * @param string         $name       scientific name
     * @param Severity       $severity   what it does to a person who takes it for something else
     * @param list<HarmView> $harms      the worst it does to anybody, in any way
     * @param list<string>   $why        what of it the words met; none where they are its name
     */
    public function __construct(
        public string $taxon,
        public string $commonName,
        public string $name,
        public Severity $severity,
        public array $harms,
        public array $why,
    ) {
    }
}
