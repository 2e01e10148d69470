<?php

declare(strict_types=1);

namespace App\Trust\View;

use App\Trust\TrustRule;

/** What is asked before a learner may decide on a part. */
final readonly class TrustRuleView
{
    /**
     * @param string $taxon       id of the kind
     * @param string $part        id of its part
     * @param string $what        both in words
     * @param int    $looks       trees of the kind named right, unbiased
     * @param int    $lookAlikes  look-alikes and other dangerous kinds named right
     * @param int    $traps       practice trees that were something else and were not taken
     * @param int    $months      all in so many months
     * @param int    $validMonths so long it is good for
     * @param string $setBy       name of who set it
     */
    public function __construct(
        public string $taxon,
        public string $part,
        public string $what,
        public int $looks,
        public int $lookAlikes,
        public int $traps,
        public int $months,
        public int $validMonths,
        public string $setBy,
    ) {
    }

    public static function of(TrustRule $rule, string $what): self
    {
        return new self(
            $rule->taxon,
            $rule->part,
            $what,
            $rule->looks,
            $rule->lookAlikes,
            $rule->traps,
            $rule->months,
            $rule->validMonths,
            $rule->by->name,
        );
    }
}
