<?php

declare(strict_types=1);

namespace App\Learning\View;

/** How far people agree in one character on the same trees. */
final readonly class AgreementView
{
    /**
     * @param string               $character id
     * @param string               $label     its name
     * @param int                  $trees     scored by two or more people
     * @param float                $ac1       Gwet's; 1 all of one mind, 0 no better than chance
     * @param float|null           $kappa     null where not the same number scored each tree
     * @param float|null           $low       AC1, in nineteen cases of twenty no less; null of fewer than three trees
     * @param float|null           $high      and no more
     * @param float|null           $kappaLow  kappa, in nineteen cases of twenty no less; null of fewer than three trees
     * @param float|null           $kappaHigh and no more
     * @param bool                 $isCohens  kappa is Cohen’s, of the same two people; else Fleiss’s
     * @param list<DifferenceView> $differ    trees on which they differ
     */
    public function __construct(
        public string $character,
        public string $label,
        public int $trees,
        public float $ac1,
        public ?float $kappa,
        public ?float $low,
        public ?float $high,
        public ?float $kappaLow,
        public ?float $kappaHigh,
        public bool $isCohens,
        public array $differ,
    ) {
    }
}
