<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

/** How often a simulated examiner misreads, on average over the characters of a flora. */
enum ExaminerKind: string
{
    case Careful = 'careful';
    case Average = 'average';
    case Careless = 'careless';

    /** Share of looks misread, 0 to 1. Estimates from teaching practice (memory), to be replaced by counted ones. */
    public function rate(): float
    {
        return match ($this) {
            self::Careful => 0.05,
            self::Average => 0.1,
            self::Careless => 0.2,
        };
    }

    /** How often a dangerous tree may at most be cleared as the wanted one, 0 to 1. */
    public function aim(): float
    {
        return match ($this) {
            self::Careful => 1e-5,
            self::Average => 1e-4,
            self::Careless => 1e-3,
        };
    }
}
