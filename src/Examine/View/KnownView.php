<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Flora\Organ;

/** What somebody saw of a tree, last. */
final readonly class KnownView
{
    /**
     * @param string $character id of the character
     * @param string $label     its name
     * @param string $seen      what was seen, in words
     * @param string $on        day, YYYY-MM-DD
     * @param string $by        who looked
     */
    public function __construct(
        public string $character,
        public Organ $organ,
        public string $label,
        public string $seen,
        public string $on,
        public string $by,
    ) {
    }
}
