<?php

declare(strict_types=1);

namespace App\Examine;

/** What an examiner must not know yet. */
enum Cover
{
    case Nothing;
    /** The names of the candidates, until they are uncovered. */
    case Names;
    /** What is hoped for, the answer and the names, of somebody who looks as the second person. */
    case Hope;

    public static function of(bool $hope, bool $names): self
    {
        return match (true) {
            $hope => self::Hope,
            $names => self::Names,
            default => self::Nothing,
        };
    }
}
