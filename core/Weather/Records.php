<?php

declare(strict_types=1);

namespace Hylognosis\Weather;

use Hylognosis\Measure\CalendarDay;

/** Days a station recorded. */
final readonly class Records
{
    /**
     * @param non-empty-list<DailyWeather> $days  in their order, each once
     * @param int                          $empty lines of days without both temperatures
     */
    public function __construct(public array $days, public int $empty)
    {
    }

    /** @return list<array{\DateTimeImmutable, \DateTimeImmutable}> first and last day of each stretch that is missing */
    public function gaps(): array
    {
        $gaps = [];
        foreach ($this->days as $i => $day) {
            $before = $this->days[$i - 1] ?? null;
            if (null !== $before && CalendarDay::between($before->day, $day->day) > 1) {
                $gaps[] = [$before->day->modify('+1 day'), $day->day->modify('-1 day')];
            }
        }

        return $gaps;
    }
}
