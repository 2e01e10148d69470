<?php

declare(strict_types=1);

namespace Hylognosis\Examination;

/** Where a thing was seen. What lies on the ground may come from another tree. */
enum Whereabouts: string
{
    case Tree = 'tree';
    case Ground = 'ground';
}
