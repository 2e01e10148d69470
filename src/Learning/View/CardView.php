<?php

declare(strict_types=1);

namespace App\Learning\View;

/** A card with two sides. */
final readonly class CardView
{
    /**
     * @param string              $ask    on the front
     * @param string              $organ  which part of the tree is drawn
     * @param list<CardPlateView> $plates one or two
     * @param string              $answer on the back
     * @param list<string>        $lines  what tells, on the back
     */
    public function __construct(
        public string $ask,
        public string $organ,
        public array $plates,
        public string $answer,
        public array $lines,
    ) {
    }
}
