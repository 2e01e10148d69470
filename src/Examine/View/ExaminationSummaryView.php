<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Clearance\Answer;

/** An examination, in one line. */
final readonly class ExaminationSummaryView
{
    /** @param bool $covered hope and answer are not told: the reader could be, or is, the second person */
    public function __construct(
        public string $id, public string $specimen, public string $tag, public string $site, public string $examiner, public bool $mine, public string $date, public bool $signed,
        public int $scored, public ?string $claim, public ?Answer $answer, public string $because, public bool $wantsSecond, public bool $covered,
    ) {
    }
}
