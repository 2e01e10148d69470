<?php

declare(strict_types=1);

namespace Hylognosis\Weather;

use Hylognosis\Measure\Temperature;

/** What a station says of one day. What it does not measure is null, and is not nought. */
final readonly class DailyWeather
{
    /**
     * @param \DateTimeImmutable $day                  midnight, universal time
     * @param float|null         $rainMillimetres      0 or more
     * @param float|null         $windMetresPerSecond  mean of the day, 0 or more
     * @param float|null         $gustMetresPerSecond  the strongest gust
     * @param float|null         $humidityPercent      mean of the day, 0 to 100
     *
     * @throws \InvalidArgumentException if the least temperature is above the greatest, or a figure is impossible
     */
    public function __construct(
        public \DateTimeImmutable $day,
        public Temperature $least,
        public Temperature $greatest,
        public ?float $rainMillimetres = null,
        public ?float $windMetresPerSecond = null,
        public ?float $gustMetresPerSecond = null,
        public ?float $humidityPercent = null,
    ) {
        if ($least->celsius > $greatest->celsius) {
            throw new \InvalidArgumentException('The least temperature of a day is above its greatest.');
        }
        foreach (
            [
                [$rainMillimetres, 2000.0, 'rain'],
                [$windMetresPerSecond, 110.0, 'wind'],
                [$gustMetresPerSecond, 120.0, 'gust'],
                [$humidityPercent, 100.0, 'humidity'],
            ] as [$figure, $most, $what]
        ) {
            if (null !== $figure && (!is_finite($figure) || $figure < 0.0 || $figure > $most)) {
                throw new \InvalidArgumentException(
                    \sprintf('There is no %s of %s: it lies between 0 and %s.', $what, $figure, $most),
                );
            }
        }
    }

    public function isFrost(): bool
    {
        return $this->least->celsius < 0.0;
    }
}
