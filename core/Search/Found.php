<?php

declare(strict_types=1);

namespace Hylognosis\Search;

use Hylognosis\Flora\Taxon;

/** A kind that answers a search. */
final readonly class Found
{
    /**
     * @param bool         $byName every word is one of its names
     * @param list<string> $why    what of it the words met, each once
     */
    public function __construct(public Taxon $taxon, public bool $byName, public float $score, public array $why)
    {
    }
}
