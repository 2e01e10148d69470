<?php

declare(strict_types=1);

namespace App\Batches;

/** How far something that is made has come. */
enum BatchState: string
{
    case Running = 'running';
    case Done = 'done';
    /** It was put to another. */
    case Joined = 'joined';
    case GivenUp = 'given-up';
}
