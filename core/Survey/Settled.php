<?php

declare(strict_types=1);

namespace Hylognosis\Survey;

/** How well it is known what a tree of a walk is. */
enum Settled: string
{
    /** Its kind is held on signed examinations. */
    case Examined = 'examined';
    /** By a short look, for a list; nothing is taken on it. */
    case Looked = 'looked';
    case Group = 'group';
    case Open = 'open';
}
