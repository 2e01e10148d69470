<?php

declare(strict_types=1);

namespace Hylognosis\Storm;

use Hylognosis\Weather\DailyWeather;

/** A day on which it blew so hard that trees have to be gone round. */
final readonly class Gale
{
    /** Metres per second. Beaufort 9 begins there: branches break off (WMO, Manual on Codes; memory). */
    public const FROM = 20.8;

    /** @param float $gust metres per second */
    private function __construct(public \DateTimeImmutable $day, public float $gust)
    {
    }

    /**
     * @param list<DailyWeather> $days
     *
     * @return list<self> the hardest first
     */
    public static function among(array $days): array
    {
        $gales = [];
        foreach ($days as $day) {
            if (($day->gustMetresPerSecond ?? 0.0) >= self::FROM) {
                $gales[] = new self($day->day, (float) $day->gustMetresPerSecond);
            }
        }
        usort($gales, static fn (self $a, self $b): int => $b->gust <=> $a->gust);

        return $gales;
    }
}
