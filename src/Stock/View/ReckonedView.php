<?php

declare(strict_types=1);

namespace App\Stock\View;

/** What one's own animals have in reach. Never a safe amount. */
final readonly class ReckonedView
{
    /**
     * @param list<ReachView> $reach     nothing: nobody has written down how much harms these animals
     * @param float|null      $leafLeast grams of fresh leaf that came down, or more, nine times of ten
     * @param float|null      $leaf      as many as most likely
     * @param float|null      $leafMost  or less, nine times of ten
     */
    public function __construct(
        public array $reach,
        public ?float $leafLeast,
        public ?float $leaf,
        public ?float $leafMost,
    ) {
    }
}
