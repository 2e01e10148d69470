<?php

declare(strict_types=1);

namespace App\Season\View;

/** Why one goes to a tree on a day. */
enum ReasonKind: string
{
    /** A window is open, and what is required has been looked at or can be seen then. */
    case Take = 'take';
    /** What is required can be seen then, and later not any more in time. */
    case Look = 'look';
    /** Somebody else's examination waits for a second person. */
    case Second = 'second';
    /** Something of its year is about to come, and nobody has dated it. */
    case Date = 'date';
}
