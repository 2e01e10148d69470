<?php

declare(strict_types=1);

namespace App\Trees;

use App\Storage\DayType;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Site> */
final class SiteRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Site::class);
    }

    /** @return list<Site> those whose permission ends by that day, soonest first */
    public function endingBy(\DateTimeImmutable $day): array
    {
        $found = $this->createQueryBuilder('s')
            ->where('s.permission = true AND s.permissionUntil <= :day')
            ->setParameter('day', $day, DayType::NAME)
            ->orderBy('s.permissionUntil')
            ->setMaxResults(20)
            ->getQuery()
            ->getResult();
        \assert(\is_array($found));

        return array_values(array_filter($found, static fn (mixed $site): bool => $site instanceof Site));
    }
}
