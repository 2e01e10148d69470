<?php

declare(strict_types=1);

namespace App\Species\View;

/** The stated nevers of a flora, to be read by somebody who knows the plants. */
final readonly class ReviewSheetView
{
    /**
     * @param string                $flora   name of the flora
     * @param string                $title   title in words
     * @param string                $edition edition of the flora
     * @param int                   $lines   how many there are
     * @param int                   $read    of which somebody beside the author has read
     * @param int                   $doubted of which somebody doubts
     * @param list<ReviewTaxonView> $taxa    those that state something, deadly ones first
     */
    public function __construct(
        public string $flora,
        public string $title,
        public string $edition,
        public int $lines,
        public int $read,
        public int $doubted,
        public array $taxa,
    ) {
    }
}
