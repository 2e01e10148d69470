<?php

declare(strict_types=1);

namespace Hylognosis\Learning;

/** What a look says of whether somebody can be trusted with a part. */
enum TrustOutcome: string
{
    /** The kind, named as such. */
    case Agreed = 'agreed';
    /** A look-alike or another dangerous kind, named as what it is. */
    case LookAlikeKnown = 'look-alike-known';
    /** A practice tree that was something else, and was not taken. */
    case TrapSeen = 'trap-seen';
    /** Something else, taken for the kind. */
    case ClearedWrongly = 'cleared-wrongly';
    /** Left open, or a tree that neither is the kind nor is mistaken for it. */
    case Nothing = 'nothing';
}
