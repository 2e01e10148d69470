<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** How old the tree is: much of what one sees changes with it. */
enum LifeStage: string
{
    case Sapling = 'sapling';
    case Young = 'young';
    case Mature = 'mature';
    case Old = 'old';
}
