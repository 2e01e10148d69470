<?php

declare(strict_types=1);

namespace App\Learning\View;

use App\Learning\DrillKind;
use App\Species\View\DescribedView;

/** One question of a drill. */
final readonly class DrillItemView
{
    /**
     * @param string                $card    what is asked, and asked again
     * @param int                   $lot     draws the same question again
     * @param string                $ask     the question, in words
     * @param string                $organ   which part of the tree is drawn; empty: none
     * @param list<DescribedView>   $shows   of what it is drawn, without words
     * @param string                $trait   character of which a state is drawn; empty: none
     * @param string                $state   that state, to be drawn and not to be read
     * @param string                $drawing key of its drawing
     * @param list<string>          $told    what is told in words, line by line
     * @param list<DrillChoiceView> $choices none: a number is wanted
     * @param string                $unit    of that number
     */
    public function __construct(
        public string $card,
        public int $lot,
        public DrillKind $kind,
        public string $ask,
        public string $organ,
        public array $shows,
        public string $trait,
        public string $state,
        public string $drawing,
        public array $told,
        public array $choices,
        public string $unit,
    ) {
    }
}
