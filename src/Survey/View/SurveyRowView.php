<?php

declare(strict_types=1);

namespace App\Survey\View;

/** A walk in the list of walks. */
final readonly class SurveyRowView
{
    /**
     * @param string $id       of the walk
     * @param string $siteId   id of the place
     * @param string $site     name of the place
     * @param string $on       YYYY-MM-DD
     * @param string $dueOn    YYYY-MM-DD
     * @param bool   $isDue    whether that day is past, and no later walk was made there
     * @param bool   $isClosed whether it is over
     * @param string $by       name of whoever walked
     * @param int    $looks    trees and stands looked at
     */
    public function __construct(
        public string $id,
        public string $siteId,
        public string $site,
        public string $on,
        public string $dueOn,
        public bool $isDue,
        public bool $isClosed,
        public string $by,
        public int $looks,
    ) {
    }
}
