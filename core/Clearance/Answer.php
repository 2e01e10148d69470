<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

/** The three answers the gate can give. None of them promises that anything is harmless. */
enum Answer: string
{
    /**
     * The required list is met and the dangerous look-alikes known to the flora are excluded: this part, of this tree,
     * until a date.
     */
    case Cleared = 'cleared';
    /** Something is still open. The normal state, and no failure. */
    case Withheld = 'withheld';
    /** Something dangerous fits at least as well, or the taxon or part is itself harmful. */
    case Barred = 'barred';
}
