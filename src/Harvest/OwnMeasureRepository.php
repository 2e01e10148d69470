<?php

declare(strict_types=1);

namespace App\Harvest;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<OwnMeasure> */
final class OwnMeasureRepository extends ServiceEntityRepository
{
    private const MOST = 100;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, OwnMeasure::class);
    }

    /** @return list<OwnMeasure> those in use, by name */
    public function inUse(): array
    {
        return $this->findBy(['forgottenAt' => null], ['name' => 'ASC'], self::MOST);
    }
}
