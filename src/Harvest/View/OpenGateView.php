<?php

declare(strict_types=1);

namespace App\Harvest\View;

/** A tree of which something may be taken now. */
final readonly class OpenGateView
{
    /**
     * @param string   $examination id of the examination that is cleared
     * @param string   $tree        id of the tree
     * @param string   $tag         of the tree
     * @param string   $site        name of the place
     * @param string   $examinedOn  day, YYYY-MM-DD
     * @param string   $what        "taxon/part"
     * @param string   $name        common name of the kind
     * @param string   $label       what the part is called
     * @param string   $leave       what is left on the tree
     * @param int|null $allowed     times it may be taken at the place this year; null where nothing is counted
     * @param int      $used        of these
     */
    public function __construct(
        public string $examination,
        public string $tree,
        public string $tag,
        public string $site,
        public string $examinedOn,
        public string $what,
        public string $name,
        public string $label,
        public string $leave,
        public ?int $allowed,
        public int $used,
    ) {
    }
}
