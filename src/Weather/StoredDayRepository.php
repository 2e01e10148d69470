<?php

declare(strict_types=1);

namespace App\Weather;

use App\Trees\Site;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\Temperature;
use Hylognosis\Weather\DailyWeather;

/** @extends ServiceEntityRepository<StoredDay> */
final class StoredDayRepository extends ServiceEntityRepository implements WeatherStation
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, StoredDay::class);
    }

    public function days(Site $site, \DateTimeImmutable $from, \DateTimeImmutable $to): array
    {
        /** @var list<array{day: \DateTimeImmutable, least: float, greatest: float, rain: float|null, wind: float|null, gust: float|null, humidity: float|null}> $rows */
        $rows = $this->createQueryBuilder('d')
            ->select('d.day', 'd.least', 'd.greatest', 'd.rain', 'd.wind', 'd.gust', 'd.humidity')
            ->where('d.site = :site AND d.day BETWEEN :from AND :to')
            ->setParameter('site', $site)
            ->setParameter('from', CalendarDay::iso($from))
            ->setParameter('to', CalendarDay::iso($to))
            ->orderBy('d.day')
            ->getQuery()
            ->getArrayResult();

        return array_map(
            static fn (array $r): DailyWeather => new DailyWeather(
                $r['day'],
                Temperature::celsius($r['least']),
                Temperature::celsius($r['greatest']),
                $r['rain'],
                $r['wind'],
                $r['gust'],
                $r['humidity'],
            ),
            $rows,
        );
    }

    /** @return array<string, StoredDay> by day, YYYY-MM-DD */
    public function ofSite(Site $site): array
    {
        $days = [];
        foreach ($this->findBy(['site' => $site]) as $stored) {
            $days[CalendarDay::iso($stored->day)] = $stored;
        }

        return $days;
    }

    /** @return string another one as soon as a day comes, goes or says something else */
    public function state(): string
    {
        $state = $this->createQueryBuilder('d')
            ->select('COUNT(d.id)', 'MAX(d.day)', 'SUM(d.least)', 'SUM(d.greatest)', 'SUM(d.least * d.greatest)')
            ->getQuery()
            ->getArrayResult();

        return serialize($state);
    }
}
