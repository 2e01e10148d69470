<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Flora\Character;
use Hylognosis\Reason\Reason;

/** A look worth taking next. */
final readonly class Suggestion
{
    /**
     * @param float        $worth    expected gain per effort; only its order means anything
     * @param float        $bits     expected fall in entropy over the taxa
     * @param float        $closes   expected number of open points of the clearance it closes
     * @param bool         $required the part aimed at requires it
     * @param list<string> $apart    taxa it would help to tell apart
     */
    public function __construct(
        public Character $character,
        public float $worth,
        public float $bits,
        public float $closes,
        public bool $required,
        public array $apart,
        public Reason $because,
    ) {
    }
}
