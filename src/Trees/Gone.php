<?php

declare(strict_types=1);

namespace App\Trees;

/** Why a tree is not looked at any more. Its history stays. */
enum Gone: string
{
    case Not = '';
    case Felled = 'felled';
    case Fallen = 'fallen';
    case Dead = 'dead';
    /** The tag is lost, and which tree it was nobody can say. */
    case Lost = 'lost';
    /** It had two tags; what was seen of it stands with the other. */
    case Merged = 'merged';
}
