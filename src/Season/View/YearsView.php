<?php

declare(strict_types=1);

namespace App\Season\View;

/** The years of a tree. */
final readonly class YearsView
{
    /**
     * @param list<ExpectedView> $expected what its kind shows when, at this place; none where no kind is held
     * @param list<MarkView>     $marks    what happened, the first first
     * @param bool               $covered  the reader looks at it as the second person: nothing is told
     */
    public function __construct(public array $expected, public array $marks, public bool $covered)
    {
    }
}
