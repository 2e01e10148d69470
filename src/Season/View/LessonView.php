<?php

declare(strict_types=1);

namespace App\Season\View;

use Hylognosis\Flora\Severity;

/** One pair to learn to tell apart. */
final readonly class LessonView
{
    /**
     * @param string   $taxon    id of the kind that is sought
     * @param string   $name     its common name
     * @param string   $part     what is taken of it
     * @param string   $other    id of the kind it is confused with
     * @param string   $otherName its common name
     * @param Severity $severity of that confusion
     * @param string   $note     what the other one looks like
     */
    public function __construct(
        public string $taxon,
        public string $name,
        public string $part,
        public string $other,
        public string $otherName,
        public Severity $severity,
        public string $note,
    ) {
    }
}
