<?php

declare(strict_types=1);

namespace Hylognosis\Recipe;

/** What somebody found who looked whether a step is done. */
enum CheckAnswer: string
{
    case Done = 'done';
    case NotYet = 'not-yet';
    case CannotTell = 'cannot-tell';

    /** A step is finished on the last word of whoever tasted: not while that is "not yet", or nobody could tell. */
    public function letsItEnd(): bool
    {
        return self::Done === $this;
    }
}
