<?php

declare(strict_types=1);

namespace App\Health\View;

/** A sign that was seen on a tree, or looked for and not seen. */
final readonly class SeenSignView
{
    /**
     * @param string $id          of what was told
     * @param bool   $isSeen      false: it was looked for, and was not there
     * @param string $on          YYYY-MM-DD
     * @param string $by          name of whoever looked
     * @param string $note        what else was said; may be empty
     * @param bool   $mayTakeBack whether the reader may take it back
     */
    public function __construct(
        public string $id,
        public SignView $sign,
        public bool $isSeen,
        public string $on,
        public string $by,
        public string $note,
        public bool $mayTakeBack,
    ) {
    }
}
