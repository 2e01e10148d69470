<?php

declare(strict_types=1);

namespace App\Learning\View;

use App\Learning\PracticeAnswer;
use Hylognosis\Learning\PracticeMark;

/** One practised tree in the list of them. */
final readonly class PracticeRowView
{
    /**
     * @param string $code  draws the tree again
     * @param string $taxon what it was
     * @param float  $share of the full mark, 0 to 1
     * @param int    $read  characters scored
     * @param int    $right of these
     * @param string $at    ISO 8601
     */
    public function __construct(
        public string $code,
        public string $taxon,
        public PracticeMark $mark,
        public float $share,
        public int $read,
        public int $right,
        public string $at,
    ) {
    }

    public static function of(PracticeAnswer $a): self
    {
        return new self(
            $a->code,
            $a->taxon,
            $a->mark,
            $a->mark->share(),
            $a->read,
            $a->right,
            $a->at->format(\DATE_ATOM),
        );
    }
}
