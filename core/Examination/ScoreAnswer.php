<?php

declare(strict_types=1);

namespace Hylognosis\Examination;

/** The ways to answer a question about a character. The last three are three different things. */
enum ScoreAnswer: string
{
    /** Something was seen. */
    case Seen = 'seen';
    /** Looked for, and not there: evidence like any other. */
    case NothingThere = 'nothing-there';
    /** The question makes no sense on this tree. */
    case DoesNotApply = 'does-not-apply';
    /** Out of reach or out of season: counts for nothing. */
    case CannotBeSeen = 'cannot-be-seen';
}
