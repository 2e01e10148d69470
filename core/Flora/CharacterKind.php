<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** What kind of value a character takes. */
enum CharacterKind: string
{
    case States = 'states';
    case OrderedStates = 'ordered-states';
    case Number = 'number';
    case Count = 'count';
}
