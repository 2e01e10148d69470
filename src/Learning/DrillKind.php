<?php

declare(strict_types=1);

namespace App\Learning;

/** What is drilled. */
enum DrillKind: string
{
    /** One of two that are taken for each other. */
    case Pair = 'pair';
    /** A character in its states. */
    case States = 'states';
    case Twigs = 'twigs';
    case Bark = 'bark';
    case Outlines = 'outlines';
    /** Which look tells most now. */
    case Next = 'next';
    /** Whether what was scored is enough for the gate. */
    case Enough = 'enough';
    /** Described aloud. */
    case Ear = 'ear';
    /** Measured with the drawn rule. */
    case Number = 'number';
}
