<?php

declare(strict_types=1);

namespace App\Batches;

/** Why nothing that came of a harvest may be labelled. */
enum BatchDoubt: string
{
    /** Somebody doubts what kind the tree is. */
    case TreeDoubted = 'tree-doubted';
    /** The tree is held to be another kind now. */
    case AnotherKind = 'another-kind';
    /** Something it rests on was called back. */
    case Recalled = 'recalled';
}
