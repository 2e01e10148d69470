<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

use Hylognosis\Flora\Organ;
use Hylognosis\Flora\Severity;

/** Whether the required list of a wanted part keeps a dangerous taxon out, by the descriptions alone. */
final readonly class PairAudit
{
    /**
     * @param list<string> $characters required characters of which the dangerous taxon states that it never shows an
     *                                 accepted value
     * @param list<Organ>  $organs     of those characters, each once
     * @param list<string> $further    other characters that part the two more often than not
     * @param bool         $excludes   whether meeting the required list alone excludes the dangerous taxon
     * @param bool         $canExclude whether it can be excluded at all
     * @param int          $unread     stated nevers among those the list leans on that nobody has read but their author
     */
    public function __construct(
        public string $taxon,
        public string $part,
        public string $danger,
        public Severity $severity,
        public array $characters,
        public array $organs,
        public array $further,
        public bool $excludes,
        public bool $canExclude,
        public int $unread = 0,
    ) {
    }
}
