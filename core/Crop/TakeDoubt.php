<?php

declare(strict_types=1);

namespace Hylognosis\Crop;

/** Why what is told of a take is asked about once more before it is kept. */
enum TakeDoubt: string
{
    /** More than a full-grown tree gives one person in a good year. */
    case MoreThanItBears = 'more-than-it-bears';
    /** Hardly anything is left for the tree and for those who live on it. */
    case LittleLeft = 'little-left';
}
