<?php

declare(strict_types=1);

namespace App\Season\View;

/** What the point is at which a round begins. */
enum EndKind: string
{
    case Entrance = 'entrance';
    case Car = 'car';
    /** The middle of the place: nobody has said where one goes in. */
    case Place = 'place';
    /** Where the reader was. */
    case Here = 'here';
}
