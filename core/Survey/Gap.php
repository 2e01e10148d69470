<?php

declare(strict_types=1);

namespace Hylognosis\Survey;

/** Why it was not settled what a tree is. */
enum Gap: string
{
    case BarkOnly = 'bark-only';
    case OutOfReach = 'out-of-reach';
    case NotEntered = 'not-entered';
    case NoTime = 'no-time';
    case NotKnown = 'not-known';
}
