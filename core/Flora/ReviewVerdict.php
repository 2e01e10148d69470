<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** What a reader of a statement came to. */
enum ReviewVerdict: string
{
    case Agreed = 'agreed';
    /** Somebody has seen it otherwise, or thinks it possible: the statement excludes nothing until that is settled. */
    case Doubted = 'doubted';
}
