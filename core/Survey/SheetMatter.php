<?php

declare(strict_types=1);

namespace Hylognosis\Survey;

/** Why a tree stands on a sheet. */
enum SheetMatter: string
{
    /** Nobody has settled what it is: it may be anything. */
    case Unknown = 'unknown';
    case Toxic = 'toxic';
    case Irritant = 'irritant';
    case Breathing = 'breathing';
    case Wound = 'wound';
    /** A part that is taken, by the examination and in its season. */
    case Part = 'part';
    case Splits = 'splits';
    case Bends = 'bends';
    case Carves = 'carves';
    case Burns = 'burns';
    case Coppices = 'coppices';
    case Fibre = 'fibre';
    case Protected = 'protected';
    case ProtectedHere = 'protected-here';
    case Rare = 'rare';
    case Invasive = 'invasive';
    /** Something that was seen of it on the walk. */
    case Seen = 'seen';
}
