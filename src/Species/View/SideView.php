<?php

declare(strict_types=1);

namespace App\Species\View;

/** What one taxon shows in a character that parts it from others. */
final readonly class SideView
{
    /**
     * @param list<StateShareView> $states most frequent first; none for numbers
     * @param string|null          $range  with its unit; null for states
     * @param float|null           $times  how many times likelier a usual look makes it than the nearest other; null:
     *                                     the flora says nothing of it, which speaks neither for it nor against
     * @param list<int>            $months in whose middle it can be seen on this one, 1 to 12
     */
    public function __construct(
        public array $states,
        public ?string $range,
        public ?float $times,
        public array $months,
    ) {
    }
}
