<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** How sure whoever wrote a statement down is of it. */
enum Sureness: string
{
    case Sure = 'sure';
    case Fairly = 'fairly';
}
