<?php

declare(strict_types=1);

namespace Hylognosis\Processing;

use Hylognosis\Measure\Length;
use Hylognosis\Measure\Temperature;
use Hylognosis\Weather\DailyWeather;

/**
 * Wood that dries in the open, under a roof and with wind between the pieces: day by day it comes nearer to what the
 * air would have it be ({@see Moisture::ofWoodIn}), the faster the warmer, the thinner and the lighter it is, and
 * through its ends faster than through its sides.
 *
 * Sources: exponential approach and thickness to the power 1.5 are common practice of kiln schedules; that warmth
 * counts as the pressure of water vapour does, and that wood lets water out along the grain as fast as if it were three
 * and a half times thinner, is from the Wood Handbook, ch. 4 and 13 (memory); the rate is set so that an inch of ash
 * dries to 20 % in some sixty days of summer (times to air-dry lumber in "Air Drying of Lumber", FPL-GTR-117; memory).
 * Stacks differ: a rate between 0.6 and 1.6 times that is all anybody can say.
 */
final readonly class AirDrying
{
    /** Share of the way to the balance in a day, of wood 25 mm thick of 500 kg/m³ at 20 °C. */
    private const RATE = 0.052;
    private const THICK = 0.025;
    private const DENSITY = 500.0;
    private const ALONG_THE_GRAIN = 3.5;
    /** How much slower and faster stacks are. */
    private const SLOW = 0.6;
    private const FAST = 1.6;
    /** Longer nobody waits, and nobody knows. */
    public const MOST_DAYS = 1461;

    private float $rate;

    /**
     * @param Length $thick   of the pieces, 5 to 400 mm
     * @param Length $long    of the pieces, 0.05 to 8 m
     * @param float  $density air dry, kg in a cubic metre, 80 to 1400
     *
     * @throws \InvalidArgumentException if no stack is of such pieces
     */
    public function __construct(Length $thick, Length $long, float $density)
    {
        if (
            $thick->metres() < 0.005
            || $thick->metres() > 0.4
            || $long->metres() < 0.05
            || $long->metres() > 8.0
            || $density < 80.0
            || $density > 1400.0
        ) {
            throw new \InvalidArgumentException(
                'Pieces are 5 to 400 mm thick, 0.05 to 8 m long, and of 80 to 1400 kg in a cubic metre.',
            );
        }
        $this->rate =
            ((self::RATE * self::DENSITY) / $density) *
            ((self::THICK / $thick->metres()) ** 1.5 +
                ((self::THICK * self::ALONG_THE_GRAIN) / $long->metres()) ** 1.5);
    }

    /**
     * How damp it is at the end, at the fastest and at the slowest.
     *
     * @param Moisture           $from when the days begin
     * @param list<DailyWeather> $days one after the other
     *
     * @return array{Moisture, Moisture} the drier first
     */
    public function after(Moisture $from, array $days): array
    {
        $ends = [];
        foreach ([self::FAST, self::SLOW] as $times) {
            $now = $from->onDryBasis();
            foreach ($days as $day) {
                $now = $this->next($now, $day, $times);
            }
            $ends[] = $now;
        }

        return [Moisture::dryBasis(min($ends)), Moisture::dryBasis(max($ends))];
    }

    /**
     * Days until it is no damper than it should be, at the soonest, in the middle and at the latest, in years as they
     * were.
     *
     * @param array{Moisture, Moisture} $from the driest and the dampest it may be now
     * @param non-empty-list<list<DailyWeather>> $years weather that may come, one after the other from the first day
     *
     * @return array{int|null, int|null, int|null} null: not within what is known, or four years
     */
    public function daysTo(array $from, Moisture $to, array $years): array
    {
        $middle = Moisture::dryBasis(($from[0]->onDryBasis() + $from[1]->onDryBasis()) / 2);
        $soonest = $likely = $latest = [];
        foreach ($years as $days) {
            $soonest[] = $this->days($from[0], $to, $days, self::FAST);
            $likely[] = $this->days($middle, $to, $days, 1.0) ?? \PHP_INT_MAX;
            $latest[] = $this->days($from[1], $to, $days, self::SLOW);
        }
        $known = array_filter($soonest, static fn (?int $d): bool => null !== $d);
        sort($likely);
        $half = $likely[intdiv(\count($likely), 2)];

        return [
            [] === $known ? null : min($known),
            \PHP_INT_MAX === $half ? null : $half,
            \in_array(null, $latest, true) ? null : max($latest),
        ];
    }

    /** @param list<DailyWeather> $days */
    private function days(Moisture $from, Moisture $to, array $days, float $times): ?int
    {
        $now = $from->onDryBasis();
        foreach (\array_slice($days, 0, self::MOST_DAYS) as $i => $day) {
            if ($now <= $to->onDryBasis()) {
                return $i;
            }
            $now = $this->next($now, $day, $times);
        }

        return $now <= $to->onDryBasis() ? \count($days) : null;
    }

    private function next(float $now, DailyWeather $day, float $times): float
    {
        $air = max(-10.0, min(60.0, ($day->least->celsius + $day->greatest->celsius) / 2));
        // a day whose humidity nobody measured dries nothing
        if (null === $day->humidityPercent) {
            return $now;
        }
        $balance = Moisture::ofWoodIn(Temperature::celsius($air), min(0.98, $day->humidityPercent / 100))->onDryBasis();
        $rate = $times * $this->rate * (self::vapour($air) / self::vapour(20.0));

        return $now + ($balance - $now) * (1 - exp(-$rate));
    }

    /** Pressure of water vapour over water, hectopascals. Magnus (memory). */
    private static function vapour(float $celsius): float
    {
        return 6.112 * exp((17.62 * $celsius) / (243.12 + $celsius));
    }
}
