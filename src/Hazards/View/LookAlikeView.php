<?php

declare(strict_types=1);

namespace App\Hazards\View;

use Hylognosis\Flora\Severity;

/** A taxon that gets taken for the wanted one. */
final readonly class LookAlikeView
{
    /**
     * @param string $taxon      id of the taxon
     * @param string $commonName common name
     * @param string $name       scientific name
     * @param string $note       what parts the two
     */
    public function __construct(
        public string $taxon,
        public string $commonName,
        public string $name,
        public Severity $severity,
        public string $note,
    ) {
    }
}
