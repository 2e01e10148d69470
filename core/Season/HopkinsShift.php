<?php

declare(strict_types=1);

namespace Hylognosis\Season;

use Hylognosis\Measure\Place;
use Hylognosis\Measure\Window;

/**
 * How many days a spring or autumn event moves between two places: 4 days per degree of latitude poleward and
 * per 400 ft (121.92 m) of altitude; later in spring, earlier in autumn. The term for longitude holds for
 * North America only and is left out here.
 *
 * Source: A. D. Hopkins, Bioclimatics, USDA Misc. Publ. 280, 1938 (memory).
 */
final readonly class HopkinsShift
{
    private const DAYS_PER_DEGREE = 4.0;
    private const DAYS_PER_STEP = 4.0;
    private const STEP_METRES = 121.92;
    /** Midsummer: events before it come later uphill, events after it earlier. */
    private const TURN = 182;

    private function __construct(private float $days)
    {
    }

    public static function between(Place $reference, Place $place): self
    {
        return new self(
            self::DAYS_PER_DEGREE * (abs($place->latitudeDegrees) - abs($reference->latitudeDegrees))
            + self::DAYS_PER_STEP * ($place->altitude->metres() - $reference->altitude->metres()) / self::STEP_METRES,
        );
    }

    /** Days a spring event comes later (negative: earlier) than at the reference place. */
    public function springDays(): int
    {
        return (int) round($this->days);
    }

    /**
     * The window at the new place. Both ends move together, by the season of the window's middle; around
     * midsummer, where the rule turns over, the shift fades linearly to nothing over eight weeks.
     */
    public function apply(Window $window): Window
    {
        return $window->shifted((int) round($this->days * $this->factor($window)));
    }

    private function factor(Window $window): float
    {
        $middle = $window->from->plus(intdiv($window->days(), 2))->number;

        return max(-1.0, min(1.0, (self::TURN + 28 - $middle) / 28));
    }
}
