<?php

declare(strict_types=1);

namespace App\Trust\View;

/** Who is trusted with what, and what it takes. */
final readonly class TrustView
{
    /**
     * @param bool                    $mayGrant  the reader is an instructor
     * @param list<TrustRuleView>     $rules     parts that can be earned; of no other a learner ever decides
     * @param list<TrustStandingView> $standings of all learners for an instructor, else one’s own
     * @param list<TrustGrantView>    $grants    what holds first, then the last; one’s own, or of all
     */
    public function __construct(
        public bool $mayGrant,
        public array $rules,
        public array $standings,
        public array $grants,
    ) {
    }
}
