<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Clearance\Answer;

/** An examination, in one line. */
final readonly class ExaminationSummaryView
{
    /**
     * @param string      $id          its id
     * @param string      $specimen    id of the tree
     * @param string      $tag         tag on the tree
     * @param string      $site        name of the place
     * @param string      $examiner    who examined it
     * @param bool        $mine        whether it is the reader’s own
     * @param string      $date        day of the examination, YYYY-MM-DD
     * @param bool        $signed      its scores are closed for good
     * @param int         $scored      characters scored
     * @param string|null $claim       what is hoped for, in words; null where nothing is, or it is covered
     * @param Answer|null $answer      as things stand now; null where nothing is asked, or it is covered
     * @param string      $because     why, in a sentence
     * @param bool        $wantsSecond a second examiner is all that is missing
     * @param bool        $covered     hope and answer are not told: the reader could be, or is, the second person
     * @param Answer|null $signedAs    the answer when it was signed; null where it is not, or nothing was asked
     */
    public function __construct(
        public string $id,
        public string $specimen,
        public string $tag,
        public string $site,
        public string $examiner,
        public bool $mine,
        public string $date,
        public bool $signed,
        public int $scored,
        public ?string $claim,
        public ?Answer $answer,
        public string $because,
        public bool $wantsSecond,
        public bool $covered,
        public ?Answer $signedAs,
    ) {
    }
}
