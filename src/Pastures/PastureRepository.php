<?php

declare(strict_types=1);

namespace App\Pastures;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Pasture> */
final class PastureRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Pasture::class);
    }

    /** @return list<Pasture> by name */
    public function there(): array
    {
        return $this->findBy(['goneAt' => null], ['name' => 'ASC']);
    }
}
