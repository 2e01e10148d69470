<?php

declare(strict_types=1);

namespace App\Trees;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<TreeMeasure> */
final class TreeMeasureRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, TreeMeasure::class);
    }

    /** @return list<TreeMeasure> the last first */
    public function of(Specimen $specimen): array
    {
        return $this->findBy(['specimen' => $specimen], ['on' => 'DESC', 'id' => 'DESC'], 100);
    }
}
