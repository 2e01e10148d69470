<?php

declare(strict_types=1);

namespace App\Trees;

/** Where the position of a tree comes from. */
enum PositionFrom: string
{
    case Unknown = '';
    /** A position receiver, or the one in the phone. */
    case Receiver = 'receiver';
    /** The stand-in that plays one: worth nothing in a real wood. */
    case StandIn = 'stand-in';
    /** Read off a map, or typed. */
    case Hand = 'hand';
    /** A file that was brought in. */
    case File = 'file';
}
