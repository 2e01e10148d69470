<?php

declare(strict_types=1);

namespace App\Trials\View;

use App\Trials\Damp;

/** Something that was tried. */
final readonly class TrialView
{
    /**
     * @param string   $id          of it
     * @param string   $on          day, YYYY-MM-DD
     * @param string   $of          of what
     * @param string   $tag         of the tree; empty where nobody said
     * @param string   $way         how
     * @param Damp     $damp        how damp it was
     * @param bool     $worked      whether it worked
     * @param int|null $seconds     until then
     * @param string   $note        in words
     * @param string   $by          who tried it
     * @param bool     $mayTakeBack the reader may
     */
    public function __construct(
        public string $id,
        public string $on,
        public string $of,
        public string $tag,
        public string $way,
        public Damp $damp,
        public bool $worked,
        public ?int $seconds,
        public string $note,
        public string $by,
        public bool $mayTakeBack,
    ) {
    }
}
