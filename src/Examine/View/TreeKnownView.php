<?php

declare(strict_types=1);

namespace App\Examine\View;

/** What is known of a tree by whom, and what nobody has looked at yet. */
final readonly class TreeKnownView
{
    /**
     * @param bool              $covered   an examination waits for a second person, and the reader could be that one: nothing is told
     * @param KindView|null     $kind      what it is held to be; null where nobody has confirmed a kind
     * @param list<DecidedView> $decisions the last first
     * @param list<KnownView>   $known     by organ and character, the last look at each
     * @param list<MissingView> $missing   of what parts of that kind require
     * @param int               $leftOut   how many examinations of others are left out, because the reader could still be
     *                                     their second person
     */
    public function __construct(
        public bool $covered,
        public ?KindView $kind,
        public array $decisions,
        public array $known,
        public array $missing,
        public int $leftOut,
    ) {
    }
}
