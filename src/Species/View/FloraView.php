<?php

declare(strict_types=1);

namespace App\Species\View;

/** The flora: what can be scored, and what is known. */
final readonly class FloraView
{
    /**
     * @param list<CharacterView>    $characters
     * @param list<TaxonSummaryView> $taxa
     */
    public function __construct(public string $name, public string $title, public string $edition, public string $hash, public array $characters, public array $taxa)
    {
    }
}
