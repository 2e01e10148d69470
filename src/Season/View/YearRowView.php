<?php

declare(strict_types=1);

namespace App\Season\View;

/** The year of a part at a place, week by week. */
final readonly class YearRowView
{
    /**
     * @param string          $taxon      id of the kind
     * @param string          $commonName its common name
     * @param string          $name       scientific name
     * @param string          $part       id of the part
     * @param string          $label      what it is called
     * @param list<string>    $uses       what it is for
     * @param int|null        $effort     1 (by the way) to 5 (a day’s work)
     * @param list<string>    $kit        instruments the required features are looked at with
     * @param list<string>    $trees      tags of own trees of the kind there
     * @param list<int>       $open       percent: how likely the window is open in each of 52 weeks
     * @param string          $sight      52 letters: t all required can be seen, f an examination can still hold, - neither
     * @param WindowView|null $next       the window that is open, or opens next
     * @param string|null     $lookFrom   first day to look at all that is required, YYYY-MM-DD
     * @param string|null     $lookBy     last such day
     * @param bool            $onTheSpot  it can be seen in the window itself
     */
    public function __construct(
        public string $taxon,
        public string $commonName,
        public string $name,
        public string $part,
        public string $label,
        public array $uses,
        public ?int $effort,
        public array $kit,
        public array $trees,
        public array $open,
        public string $sight,
        public ?WindowView $next,
        public ?string $lookFrom,
        public ?string $lookBy,
        public bool $onTheSpot,
    ) {
    }
}
