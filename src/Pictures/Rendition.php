<?php

declare(strict_types=1);

namespace App\Pictures;

/** In what size a picture is kept. */
enum Rendition: string
{
    case Full = 'full';
    case Thumbnail = 'thumb';
}
