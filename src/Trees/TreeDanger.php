<?php

declare(strict_types=1);

namespace App\Trees;

use Hylognosis\Flora\Severity;

/** What a tree could do to whoever takes it, as far as its kind is known. */
enum TreeDanger: string
{
    case Deadly = 'deadly';
    case Serious = 'serious';
    case Mild = 'mild';
    case Harmless = 'harmless';
    /** A kind was held, and somebody doubts it: it may be anything. */
    case Doubted = 'doubted';
    /** No kind is held, or it may not be told now: it may be anything. */
    case Unknown = 'unknown';

    public static function of(Severity $severity): self
    {
        return self::from($severity->value);
    }
}
