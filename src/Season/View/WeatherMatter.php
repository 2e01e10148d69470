<?php

declare(strict_types=1);

namespace App\Season\View;

/** Weather somebody going out should know of. */
enum WeatherMatter: string
{
    case Storm = 'storm';
    case Frost = 'frost';
    case Heat = 'heat';
}
