<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** How one gets at a character. */
enum Reach: string
{
    case Ground = 'ground';
    case Hand = 'hand';
    case Binoculars = 'binoculars';
    case Cut = 'cut';
}
