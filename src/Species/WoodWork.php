<?php

declare(strict_types=1);

namespace App\Species;

/** What was done with a piece of wood. */
enum WoodWork: string
{
    case Splitting = 'split';
    case Bending = 'bend';
    case Carving = 'carve';
    case Weighing = 'weigh';
}
