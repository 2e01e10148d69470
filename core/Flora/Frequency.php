<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** The words a flora uses for how often a state occurs in a taxon, and the numbers behind them. */
enum Frequency: string
{
    case Always = 'always';
    case Usually = 'usually';
    case Often = 'often';
    case Sometimes = 'sometimes';
    case Rarely = 'rarely';

    /** Share of specimens, 0 to 1, before the states of one character are normalised to a sum of 1. */
    public function share(): float
    {
        return match ($this) {
            self::Always => 1.0,
            self::Usually => 0.9,
            self::Often => 0.6,
            self::Sometimes => 0.3,
            self::Rarely => 0.05,
        };
    }
}
