<?php

declare(strict_types=1);

namespace Hylognosis\Crop;

use Hylognosis\Measure\CalendarDay;
use Hylognosis\Weather\DailyWeather;

/** What frost at flowering cost, by the coldest night a station saw. */
final readonly class LateFrost
{
    /** Known nights of a stretch without which nothing is said of it. */
    private const KNOWN = 0.9;

    /**
     * @param \DateTimeImmutable $night   day whose least temperature it was
     * @param float              $celsius that temperature
     * @param float              $loss    share of flowers and young fruit that is lost, 0 to 1
     */
    private function __construct(public \DateTimeImmutable $night, public float $celsius, public float $loss)
    {
    }

    /**
     * @param list<DailyWeather>  $days  of any time
     * @param \DateTimeImmutable  $from  first flower
     * @param \DateTimeImmutable  $to    fruit set, or today if that is earlier
     * @param float               $tenth °C at which a tenth is lost in half an hour
     * @param float               $most  °C at which nine tenths are lost; lower
     *
     * @return self|null null where too many nights are not known; no frost is a loss of about 0
     *
     * @throws \InvalidArgumentException unless the first temperature is above the second
     */
    public static function between(
        array $days,
        \DateTimeImmutable $from,
        \DateTimeImmutable $to,
        float $tenth,
        float $most,
    ): ?self {
        if ($tenth <= $most) {
            throw new \InvalidArgumentException('More is lost where it is colder.');
        }
        $within = array_values(
            array_filter($days, static fn (DailyWeather $d): bool => $d->day >= $from && $d->day <= $to),
        );
        if ([] === $within || \count($within) < self::KNOWN * (CalendarDay::between($from, $to) + 1)) {
            return null;
        }
        $coldest = $within[0];
        foreach ($within as $day) {
            if ($day->least->celsius < $coldest->least->celsius) {
                $coldest = $day;
            }
        }
        // a logistic curve through a tenth and nine tenths
        $steep = (2 * log(9)) / ($tenth - $most);
        $loss = 1 / (1 + exp($steep * ($coldest->least->celsius - ($tenth + $most) / 2)));

        return new self($coldest->day, $coldest->least->celsius, $loss);
    }
}
