<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/** The units somebody reads and writes lengths in. */
enum Units: string
{
    case Metric = 'metric';
    case Imperial = 'imperial';

    /** The unit this reader would use where a flora has the given one (`mm`, `cm`, `m`; anything else stays). */
    public function insteadOf(string $unit): string
    {
        return self::Metric === $this
            ? $unit
            : match ($unit) {
                'mm', 'cm' => 'in',
                'm' => 'ft',
                default => $unit,
            };
    }

    /**
     * A number of a flora's unit in this reader's, rounded to what an eye can read: tenths of a millimetre, tenths of a
     * foot, hundredths of an inch.
     */
    public function number(float $number, string $unit): float
    {
        $own = $this->insteadOf($unit);

        return $own === $unit ? round($number, 3) : round(Length::of($number, $unit)->in($own), 'ft' === $own ? 1 : 2);
    }
}
