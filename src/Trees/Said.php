<?php

declare(strict_types=1);

namespace App\Trees;

/** How an owner said it. */
enum Said: string
{
    case Written = 'written';
    case Spoken = 'spoken';
}
