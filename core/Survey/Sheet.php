<?php

declare(strict_types=1);

namespace Hylognosis\Survey;

/** The three sheets of a walk. */
enum Sheet: string
{
    case Dangers = 'dangers';
    case Materials = 'materials';
    case Keep = 'keep';
}
