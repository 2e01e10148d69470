<?php

declare(strict_types=1);

namespace Hylognosis\Processing;

/** How wood takes to a kind of work. */
enum Ease: string
{
    case Easy = 'easy';
    case Fair = 'fair';
    case Hard = 'hard';
}
