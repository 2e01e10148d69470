<?php

declare(strict_types=1);

namespace App\Trees;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Stand> */
final class StandRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Stand::class);
    }

    /** @return list<Stand> that are there, by label */
    public function there(?Site $site = null): array
    {
        return $this->findBy(['goneOn' => null] + (null === $site ? [] : ['site' => $site]), ['label' => 'ASC']);
    }
}
