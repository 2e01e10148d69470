<?php

declare(strict_types=1);

namespace App\Species\View;

/** The stated nevers of a flora, to be read by somebody who knows the plants. */
final readonly class ReviewSheetView
{
    /** @param list<ReviewTaxonView> $taxa those that state something, deadly ones first */
    public function __construct(public string $flora, public string $title, public string $edition, public int $lines, public int $read, public int $doubted, public array $taxa)
    {
    }
}
