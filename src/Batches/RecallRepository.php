<?php

declare(strict_types=1);

namespace App\Batches;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Recall> */
final class RecallRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Recall::class);
    }

    /** @return list<Recall> the last first */
    public function all(): array
    {
        return $this->findBy([], ['at' => 'DESC']);
    }
}
