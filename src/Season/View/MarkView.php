<?php

declare(strict_types=1);

namespace App\Season\View;

/** Something that happened to a tree on a day. */
final readonly class MarkView
{
    /**
     * @param string      $on          day, YYYY-MM-DD
     * @param MarkKind    $kind        what kind of thing
     * @param string      $what        in words
     * @param string      $by          who
     * @param string|null $examination id of the examination it belongs to
     */
    public function __construct(
        public string $on,
        public MarkKind $kind,
        public string $what,
        public string $by,
        public ?string $examination,
    ) {
    }
}
