<?php

declare(strict_types=1);

namespace App\Storm;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<StormWalk> */
final class StormWalkRepository extends ServiceEntityRepository
{
    private const MOST = 30;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, StormWalk::class);
    }

    /** @return list<StormWalk> the last first */
    public function last(): array
    {
        return $this->findBy([], ['blewAt' => 'DESC', 'raisedAt' => 'DESC'], self::MOST);
    }
}
