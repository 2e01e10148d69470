<?php

declare(strict_types=1);

namespace App\School;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<School> */
final class SchoolRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, School::class);
    }

    /** The school; none before it has begun. */
    public function ours(): ?School
    {
        return $this->findOneBy([]);
    }
}
