<?php

declare(strict_types=1);

namespace App\Season;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Hylognosis\Measure\CalendarDay;

/** @extends ServiceEntityRepository<PlannedDay> */
final class PlannedDayRepository extends ServiceEntityRepository
{
    private const MOST = 100;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, PlannedDay::class);
    }

    /** @return list<PlannedDay> that hold, from a day on, the next first */
    public function from(\DateTimeImmutable $day): array
    {
        $found = $this->createQueryBuilder('p')
            ->addSelect('who')
            ->join('p.by', 'who')
            ->where('p.day >= :day AND p.givenUpAt IS NULL')
            ->setParameter('day', CalendarDay::iso($day))
            ->orderBy('p.day')
            ->addOrderBy('p.keptAt')
            ->setMaxResults(self::MOST)
            ->getQuery()
            ->getResult();
        \assert(\is_array($found));

        return array_values(array_filter($found, static fn (mixed $row): bool => $row instanceof PlannedDay));
    }
}
