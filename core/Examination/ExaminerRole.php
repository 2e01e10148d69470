<?php

declare(strict_types=1);

namespace Hylognosis\Examination;

/** Who scores. A learner's examination never clears. */
enum ExaminerRole: string
{
    case Instructor = 'instructor';
    case Learner = 'learner';

    public function mayDecide(): bool
    {
        return self::Instructor === $this;
    }
}
