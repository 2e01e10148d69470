<?php

declare(strict_types=1);

namespace Hylognosis\Stock;

/** Where the height of a tree comes from. */
enum HeightFrom: string
{
    case Measured = 'measured';
    /** The greatest that the flora says of its kind. */
    case Kind = 'kind';
    /** Nobody knows: taken as a tall tree. */
    case Unknown = 'unknown';
}
