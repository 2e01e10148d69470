<?php

declare(strict_types=1);

namespace App\Species\View;

use App\Hazards\View\HarmView;
use Hylognosis\Flora\Severity;

/** One of the taxa laid side by side. */
final readonly class ComparedView
{
    /**
     * @param string              $taxon       its id
     * @param string              $commonName  what people call it
     * @param string              $name        scientific name
     * @param list<HarmView>      $harms       the worst it does to anybody, in any way
     * @param list<DescribedView> $description what it is drawn from
     * @param list<NeverView>     $nevers      what it never shows while another of them often does
     */
    public function __construct(
        public string $taxon,
        public string $commonName,
        public string $name,
        public Severity $severity,
        public array $harms,
        public array $description,
        public array $nevers,
    ) {
    }
}
