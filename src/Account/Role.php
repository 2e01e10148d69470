<?php

declare(strict_types=1);

namespace App\Account;

use Hylognosis\Examination\ExaminerRole;

/** What somebody may do here. */
enum Role: string
{
    /** Decides, takes, and looks after people, places and trees. */
    case Instructor = 'instructor';
    /** Examines; only an instructor's examination opens the gate. */
    case Learner = 'learner';
    /** Reads, and nothing else. */
    case Guest = 'guest';

    public function mayDecide(): bool
    {
        return self::Instructor === $this;
    }

    public function mayExamine(): bool
    {
        return self::Guest !== $this;
    }

    /**
     * As whom the gate knows this person. A guest who once was something else counts as a learner: what he scored never
     * clears.
     */
    public function examiner(): ExaminerRole
    {
        return self::Instructor === $this ? ExaminerRole::Instructor : ExaminerRole::Learner;
    }
}
