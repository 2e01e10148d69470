<?php

declare(strict_types=1);

namespace App\Demo;

use App\Clock\MachineClock;
use App\Clock\SchoolClock;
use App\Storage\SettingRepository;
use Hylognosis\Measure\CalendarDay;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * A clock whose day can be set, so that elder flowers in June and chestnuts in October can be tried on any day of the
 * real year.
 */
final readonly class DemoClock implements SchoolClock
{
    public const DAY = 'demo-day';

    public function __construct(private SettingRepository $settings, private MachineClock $machine)
    {
    }

    /** The clock of a demo, or of a school. */
    public static function orMachine(
        #[Autowire('%env(bool:APP_DEMO)%')] bool $demo,
        self $set,
        MachineClock $machine,
    ): SchoolClock {
        return $demo ? $set : $machine;
    }

    public function now(): \DateTimeImmutable
    {
        $now = $this->machine->now();
        $day = $this->settings->value(self::DAY);

        return null === $day ? $now : new \DateTimeImmutable($day.' '.$now->format('H:i:s'));
    }

    public function today(): \DateTimeImmutable
    {
        return CalendarDay::of($this->now());
    }
}
