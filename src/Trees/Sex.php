<?php

declare(strict_types=1);

namespace App\Trees;

/** Which flowers a tree bears, where its kind bears them apart. */
enum Sex: string
{
    case Unknown = '';
    case Male = 'male';
    case Female = 'female';
    case Both = 'both';
}
