<?php

declare(strict_types=1);

namespace App\Learning\View;

use Hylognosis\Learning\PracticeMark;

/** What a practice tree was, and how it was answered. */
final readonly class PracticeResultView
{
    /**
     * @param string              $taxon      what it was; may be of another flora
     * @param string              $name       scientific name
     * @param string              $commonName common name
     * @param bool                $isOutsider the flora it was examined by does not know it
     * @param bool                $isWanted   it was what was hoped for
     * @param bool                $saidRight  it was taken for what it is, or left open where the flora does not know it
     * @param float               $share      of the full mark, 0 to 1
     * @param bool                $isOpen     the gate would have been open on what was scored
     * @param list<string>        $missing    what the part still required, in words
     * @param list<string>        $dangers    common names of dangerous kinds that were still open
     * @param list<string>        $foreseen   of these, those that were named as what it could be
     * @param bool                $wasAmong   it was named as what it is or could be
     * @param string              $leader     common name of what the scores spoke for
     * @param list<ReadView>      $readings   what was read, the misread first
     */
    public function __construct(
        public string $taxon,
        public string $name,
        public string $commonName,
        public bool $isOutsider,
        public bool $isWanted,
        public bool $saidRight,
        public PracticeMark $mark,
        public float $share,
        public bool $isOpen,
        public array $missing,
        public array $dangers,
        public array $foreseen,
        public bool $wasAmong,
        public string $leader,
        public array $readings,
    ) {
    }
}
