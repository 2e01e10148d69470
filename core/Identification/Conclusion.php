<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

/** What the scores as a whole come to. */
enum Conclusion: string
{
    /** Fewer than three characters scored: too little to say anything. */
    case TooEarly = 'too-early';
    /** One taxon leads clearly and explains what was seen. */
    case Named = 'named';
    /** A hybrid of two taxa of the flora leads: it lies between them and is cleared as neither. */
    case Between = 'between';
    /** Several taxa are still possible. */
    case Undecided = 'undecided';
    /** Nothing in this flora explains what was seen. */
    case NoneOfThese = 'none-of-these';
}
