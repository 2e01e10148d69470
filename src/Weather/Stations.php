<?php

declare(strict_types=1);

namespace App\Weather;

use App\Clock\SchoolClock;
use App\Trees\Site;
use App\Trees\StationKind;
use Hylognosis\Measure\Place;
use Hylognosis\Season\Warmth;
use Hylognosis\Weather\DailyWeather;
use Symfony\Contracts\Service\ResetInterface;

/** Which station tells the weather of a place. */
final class Stations implements ResetInterface
{
    /** So many years tell what a place is like. */
    private const YEARS = 6;

    /** @var array<string, Warmth|null> by site, within a request */
    private array $warmth = [];

    public function __construct(
        private readonly StoredDayRepository $records,
        private readonly StandInStation $standIn,
        private readonly SchoolClock $clock,
    ) {
    }

    /** @return list<DailyWeather> in the order of the days; those nobody knows are missing */
    public function days(Site $site, \DateTimeImmutable $from, \DateTimeImmutable $to): array
    {
        return match ($site->station) {
            StationKind::None => [],
            StationKind::Records => $this->records->days($site, $from, $to),
            StationKind::StandIn => $this->standIn->days($site, $from, $to),
        };
    }

    /** @param Place $reference where the dates of the flora hold */
    public function warmth(Site $site, Place $reference): ?Warmth
    {
        if (StationKind::None === $site->station) {
            return null;
        }
        $today = $this->clock->today();

        return $this->warmth[$site->id] ??= Warmth::of(
            $this->days($site, $today->modify('-'.self::YEARS.' years'), $today),
            $site->place(),
            $reference,
        );
    }

    /** @return string another one as soon as other records are kept */
    public function state(): string
    {
        return $this->records->state();
    }

    public function reset(): void
    {
        $this->warmth = [];
    }
}
