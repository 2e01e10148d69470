<?php

declare(strict_types=1);

namespace App\Season;

use App\Trees\GoesWithTree;
use App\Trees\Site;
use App\Trees\Specimen;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Season\SeasonalEvent;
use Hylognosis\Season\Sighting;

/** @extends ServiceEntityRepository<TreeEvent> */
final class TreeEventRepository extends ServiceEntityRepository implements GoesWithTree
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, TreeEvent::class);
    }

    public function moved(Specimen $from, Specimen $to): void
    {
        foreach ($this->findBy(['specimen' => $from]) as $event) {
            $event->specimen = $to;
        }
    }

    /** @return list<TreeEvent> that hold, the last first */
    public function ofTree(Specimen $tree): array
    {
        return $this->findBy(['specimen' => $tree, 'takenBackAt' => null], ['on' => 'DESC', 'recordedAt' => 'DESC']);
    }

    /**
     * @param list<string> $sites
     *
     * @return array<string, array<string, true>> tree → events that were dated in a year
     */
    public function ofYear(int $year, array $sites): array
    {
        /** @var list<array{tree: string, event: SeasonalEvent}> $rows */
        $rows = $this->createQueryBuilder('e')
            ->select('s.id AS tree', 'e.event')
            ->join('e.specimen', 's')
            ->where('s.site IN (:sites) AND e.takenBackAt IS NULL AND e.on BETWEEN :from AND :to')
            ->setParameter('sites', $sites)
            ->setParameter('from', $year.'-01-01')
            ->setParameter('to', $year.'-12-31')
            ->getQuery()
            ->getArrayResult();
        $seen = [];
        foreach ($rows as $row) {
            $seen[$row['tree']][$row['event']->value] = true;
        }

        return $seen;
    }

    /** @return string another one as soon as an event comes, is taken back, or goes with its tree */
    public function state(): string
    {
        $state = $this->createQueryBuilder('e')
            ->select('COUNT(e.id)', 'COUNT(e.takenBackAt)', 'MAX(e.recordedAt)', 'MAX(e.takenBackAt)')
            ->getQuery()
            ->getArrayResult();

        return serialize($state);
    }

    public function countOf(Site $site, int $year): int
    {
        return (int) $this->createQueryBuilder('e')
            ->select('COUNT(e.id)')
            ->join('e.specimen', 's')
            ->where('s.site = :site AND e.takenBackAt IS NULL AND e.on BETWEEN :from AND :to')
            ->setParameter('site', $site)
            ->setParameter('from', $year.'-01-01')
            ->setParameter('to', $year.'-12-31')
            ->getQuery()
            ->getSingleScalarResult();
    }

    /**
     * What has been seen on trees that are held to be a kind of a flora, and nobody doubts it.
     *
     * @param list<string> $sites ids; none: of all sites
     *
     * @return list<Sighting>
     */
    public function sightings(string $flora, \DateTimeImmutable $since, array $sites = []): array
    {
        $query = $this->createQueryBuilder('e')
            ->select('s.kind', 'e.event', 'IDENTITY(s.site) AS site', 's.id AS tree', 'e.on')
            ->join('e.specimen', 's')
            ->where("e.takenBackAt IS NULL AND s.kind <> '' AND s.kindFlora = :flora AND s.doubt = ''")
            ->andWhere('e.on >= :since')
            ->setParameter('flora', $flora)
            ->setParameter('since', CalendarDay::iso($since));
        if ([] !== $sites) {
            $query->andWhere('s.site IN (:sites)')->setParameter('sites', $sites);
        }
        /** @var list<array{kind: string, event: SeasonalEvent, site: string, tree: string, on: \DateTimeImmutable}> $rows */
        $rows = $query->getQuery()->getArrayResult();

        return array_map(
            static fn (array $r): Sighting => new Sighting($r['kind'], $r['event'], $r['site'], $r['tree'], $r['on']),
            $rows,
        );
    }
}
