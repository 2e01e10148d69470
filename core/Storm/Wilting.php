<?php

declare(strict_types=1);

namespace Hylognosis\Storm;

/**
 * How far leaves on a broken limb have wilted. Hours are common practice, for a mild day: sun and wind hasten it, and
 * many kinds (cherries, red maple) harm more the more they have wilted.
 */
enum Wilting: string
{
    case Fresh = 'fresh';
    case Wilting = 'wilting';
    case Wilted = 'wilted';
    case Dry = 'dry';

    /** @param float $hours since it came down; less than none counts as none */
    public static function after(float $hours): self
    {
        return match (true) {
            $hours < 4.0 => self::Fresh,
            $hours < 24.0 => self::Wilting,
            $hours < 7 * 24.0 => self::Wilted,
            default => self::Dry,
        };
    }
}
