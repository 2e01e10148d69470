<?php

declare(strict_types=1);

namespace App\Species\View;

use Hylognosis\Flora\Severity;

/** What one taxon never shows. */
final readonly class ReviewTaxonView
{
    /**
     * @param string          $id         its id
     * @param string          $name       scientific name
     * @param string          $commonName common name
     * @param list<NeverView> $nevers     what it never shows, line by line
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $commonName,
        public Severity $severity,
        public array $nevers,
    ) {
    }
}
