<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/** Units in which a harvest is told. Grams and millilitres are the base; pieces and heads are counted. */
enum AmountUnit: string
{
    case Grams = 'g';
    case Kilograms = 'kg';
    case Ounces = 'oz';
    case Pounds = 'lb';
    case Litres = 'l';
    case Pints = 'pt';
    case Pieces = 'pieces';
    case Heads = 'heads';

    /**
     * How many of the base unit one is. 1 lb = 0.453 592 37 kg and 1 oz = 1/16 lb (international yard and pound
     * agreement, 1959); 1 US liquid pint = 473.176 473 ml (231 cubic inches to the gallon, NIST Handbook 44).
     */
    public function inBase(): float
    {
        return match ($this) {
            self::Grams, self::Pieces, self::Heads => 1.0,
            self::Kilograms, self::Litres => 1000.0,
            self::Ounces => 28.349523125,
            self::Pounds => 453.59237,
            self::Pints => 473.176473,
        };
    }

    /** What it measures: amounts of different things are not added up. */
    public function measures(): string
    {
        return match ($this) {
            self::Grams, self::Kilograms, self::Ounces, self::Pounds => 'mass',
            self::Litres, self::Pints => 'volume',
            self::Pieces => 'pieces',
            self::Heads => 'heads',
        };
    }

    /** The unit the same kind of amount is told in where people weigh in the other system. */
    public function counterpart(bool $imperial): self
    {
        return match ($this) {
            self::Grams, self::Ounces => $imperial ? self::Ounces : self::Grams,
            self::Kilograms, self::Pounds => $imperial ? self::Pounds : self::Kilograms,
            self::Litres, self::Pints => $imperial ? self::Pints : self::Litres,
            default => $this,
        };
    }
}
