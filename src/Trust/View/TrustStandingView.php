<?php

declare(strict_types=1);

namespace App\Trust\View;

/** How far a learner has come with a part. */
final readonly class TrustStandingView
{
    /**
     * @param string              $learner    id
     * @param string              $name       of the learner
     * @param string              $taxon      id of the kind
     * @param string              $part       id of its part
     * @param string              $what       both in words
     * @param int                 $agreed     trees of the kind named right
     * @param int                 $lookAlikes look-alikes and dangerous kinds named right
     * @param int                 $traps      practice trees seen through
     * @param int                 $wrong      something else taken for it: while that counts, nothing is earned
     * @param bool                $isEarned   an instructor may grant it now
     * @param bool                $isTrusted  it is granted and holds
     * @param list<TrustLookView> $looks      that count, the last first
     */
    public function __construct(
        public string $learner,
        public string $name,
        public string $taxon,
        public string $part,
        public string $what,
        public int $agreed,
        public int $lookAlikes,
        public int $traps,
        public int $wrong,
        public bool $isEarned,
        public bool $isTrusted,
        public array $looks,
    ) {
    }
}
