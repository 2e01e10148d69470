<?php

declare(strict_types=1);

namespace App\Species\View;

/** The flora: what can be scored, and what is known. */
final readonly class FloraView
{
    /**
     * @param string                 $name       its name in addresses and documents
     * @param string                 $title      title in words
     * @param string                 $edition    edition of the flora
     * @param string                 $hash       SHA-256 of the content
     * @param list<CharacterView>    $characters the catalogue, in its order
     * @param list<TaxonSummaryView> $taxa       in the order of their names
     */
    public function __construct(
        public string $name,
        public string $title,
        public string $edition,
        public string $hash,
        public array $characters,
        public array $taxa,
    ) {
    }
}
