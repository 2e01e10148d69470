<?php

declare(strict_types=1);

namespace App\Batches;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<BatchUnit> */
final class BatchUnitRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, BatchUnit::class);
    }

    /** @return list<BatchUnit> that were called back, by batch and number */
    public function recalled(Recall $recall): array
    {
        return $this->findBy(['recall' => $recall], ['batch' => 'ASC', 'number' => 'ASC']);
    }
}
