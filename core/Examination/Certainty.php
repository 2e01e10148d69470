<?php

declare(strict_types=1);

namespace Hylognosis\Examination;

/** How sure the examiner is of what was seen. Only sure scores count toward a clearance. */
enum Certainty: string
{
    case Sure = 'sure';
    case Likely = 'likely';
    case Unsure = 'unsure';

    /** How many times as often a score of this certainty is a misreading. */
    public function misreadingFactor(): float
    {
        return match ($this) {
            self::Sure => 1.0,
            self::Likely => 3.0,
            self::Unsure => 8.0,
        };
    }
}
