<?php

declare(strict_types=1);

namespace App\Devices;

use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * How somebody has set their stand-ins. Kept for a day, beside the database: what a toy says is no part of a school's
 * record.
 *
 * @phpstan-type Walk array{latitude: float, longitude: float, heading: float, speed: float, error: float, lost: bool, since: int}
 * @phpstan-type Gauge array{reading: float, unit: string}
 */
final readonly class StandInSettings
{
    private const KEEP = 86_400;

    public function __construct(#[Autowire(service: 'cache.app')] private CacheItemPoolInterface $cache)
    {
    }

    /** @return Walk|null */
    public function walk(string $person): ?array
    {
        /** @var Walk|null $walk */
        $walk = $this->value('walk', $person);

        return $walk;
    }

    /** @return Gauge|null */
    public function gauge(string $person): ?array
    {
        /** @var Gauge|null $gauge */
        $gauge = $this->value('gauge', $person);

        return $gauge;
    }

    /** @param Walk $walk */
    public function setWalk(string $person, array $walk): void
    {
        $this->set('walk', $person, $walk);
    }

    /** @param Gauge $gauge */
    public function setGauge(string $person, array $gauge): void
    {
        $this->set('gauge', $person, $gauge);
    }

    private function value(string $what, string $person): mixed
    {
        return $this->cache->getItem($this->key($what, $person))->get();
    }

    private function set(string $what, string $person, mixed $value): void
    {
        $this->cache->save($this->cache->getItem($this->key($what, $person))->set($value)->expiresAfter(self::KEEP));
    }

    private function key(string $what, string $person): string
    {
        return 'stand-in-'.$what.'-'.hash('xxh128', $person);
    }
}
