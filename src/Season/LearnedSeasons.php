<?php

declare(strict_types=1);

namespace App\Season;

use App\Clock\SchoolClock;
use App\Trees\Site;
use App\Trees\SiteRepository;
use App\Weather\Stations;
use Hylognosis\Flora\Flora;
use Hylognosis\Position\GroundLine;
use Hylognosis\Season\LearnedYears;
use Symfony\Contracts\Service\ResetInterface;

/** What the dates seen at a site, and at the nearest others, teach of its year. */
final class LearnedSeasons implements ResetInterface
{
    /** Older dates teach of a climate that is past. */
    private const YEARS = 15;
    /** So many other sites help to know a kind; more cost time and add little. */
    private const OTHERS = 2;

    /** @var array<string, LearnedYears> by flora and site, within a request */
    private array $known = [];

    public function __construct(
        private readonly TreeEventRepository $events,
        private readonly SiteRepository $sites,
        private readonly Stations $stations,
        private readonly SchoolClock $clock,
    ) {
    }

    public function at(Flora $flora, Site $site): LearnedYears
    {
        return $this->known[$flora->hash.$site->id] ??= $this->learned($flora, $site);
    }

    public function reset(): void
    {
        $this->known = [];
    }

    private function learned(Flora $flora, Site $site): LearnedYears
    {
        $all = $this->sites->findAll();
        $away = static fn (Site $other): float => GroundLine::between(
            $site->latitude,
            $site->longitude,
            $other->latitude,
            $other->longitude,
        )->length->metres();
        usort($all, static fn (Site $a, Site $b): int => $away($a) <=> $away($b));
        $near = [$site->id => $site];
        foreach ($all as $other) {
            if (\count($near) <= self::OTHERS) {
                $near[$other->id] = $other;
            }
        }
        $places = $warmth = [];
        foreach ($near as $id => $one) {
            $places[$id] = $one->place();
            $known = $this->stations->warmth($one, $flora->reference);
            if (null !== $known) {
                $warmth[$id] = $known;
            }
        }

        return new LearnedYears(
            $flora,
            $places,
            $this->events->sightings(
                $flora->name,
                $this->clock->today()->modify('-'.self::YEARS.' years'),
                array_keys($near),
            ),
            warmth: $warmth,
        );
    }
}
