<?php

declare(strict_types=1);

namespace App\Health;

use App\Trees\GoesWithTree;
use App\Trees\Specimen;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<TreeSign> */
final class TreeSignRepository extends ServiceEntityRepository implements GoesWithTree
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, TreeSign::class);
    }

    public function moved(Specimen $from, Specimen $to): void
    {
        foreach ($this->findBy(['specimen' => $from]) as $sign) {
            $sign->specimen = $to;
        }
    }

    /** @return list<TreeSign> that hold, the last first */
    public function ofTree(Specimen $tree): array
    {
        return $this->findBy(['specimen' => $tree, 'takenBackAt' => null], ['on' => 'DESC', 'recordedAt' => 'DESC']);
    }
}
