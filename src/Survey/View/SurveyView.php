<?php

declare(strict_types=1);

namespace App\Survey\View;

/** One walk with its three sheets. */
final readonly class SurveyView
{
    /**
     * @param string               $id       of the walk
     * @param string               $siteId   id of the place
     * @param string               $site     name of the place
     * @param string               $on       YYYY-MM-DD
     * @param string               $dueOn    YYYY-MM-DD, when it is due again
     * @param string               $by       name of whoever walked
     * @param bool                 $isClosed whether it is over: then nothing is entered any more
     * @param list<WalkedTreeView> $trees    by tag, the stands after them
     * @param int                  $left     trees nobody has come by on this walk
     * @param int                  $open     looked at, and what they are was not settled
     * @param list<GroupView>      $groups   of the reader’s flora, for a look where a group is enough
     */
    public function __construct(
        public string $id,
        public string $siteId,
        public string $site,
        public string $on,
        public string $dueOn,
        public string $by,
        public bool $isClosed,
        public array $trees,
        public int $left,
        public int $open,
        public array $groups,
    ) {
    }
}
