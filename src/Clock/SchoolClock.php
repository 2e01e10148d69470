<?php

declare(strict_types=1);

namespace App\Clock;

use App\Storage\SettingRepository;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * The day the application takes for today. In the demo it is a stand-in that can be set, so that elder flowers in
 * June and chestnuts in October can be tried on any day of the real year; otherwise it is the machine's clock.
 */
final readonly class SchoolClock implements ClockInterface
{
    public const DEMO_DAY = 'demo-day';

    public function __construct(
        #[Autowire('%env(bool:APP_DEMO)%')] private bool $demo,
        private SettingRepository $settings,
    ) {
    }

    public function now(): \DateTimeImmutable
    {
        $now = new \DateTimeImmutable();
        $day = $this->demo ? $this->settings->value(self::DEMO_DAY) : null;

        return null === $day ? $now : new \DateTimeImmutable($day.' '.$now->format('H:i:s'));
    }

    /** Midnight at the start of today. */
    public function today(): \DateTimeImmutable
    {
        return new \DateTimeImmutable($this->now()->format('Y-m-d'), new \DateTimeZone('UTC'));
    }

    public function isDemo(): bool
    {
        return $this->demo;
    }
}
