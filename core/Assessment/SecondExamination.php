<?php

declare(strict_types=1);

namespace Hylognosis\Assessment;

use Hylognosis\Examination\Examination;

/** Somebody else's examination of the same tree. */
final readonly class SecondExamination
{
    /**
     * @param bool   $blind        that examiner knew neither the first scores nor the hope
     * @param string $person       who; empty where nobody says
     * @param bool   $reconsidered that examiner has taken the conclusion back, on record
     */
    public function __construct(
        public Examination $examination,
        public bool $blind,
        public string $person = '',
        public bool $reconsidered = false,
    ) {
    }
}
