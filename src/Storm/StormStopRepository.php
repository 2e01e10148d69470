<?php

declare(strict_types=1);

namespace App\Storm;

use App\Trees\GoesWithTree;
use App\Trees\Specimen;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<StormStop> */
final class StormStopRepository extends ServiceEntityRepository implements GoesWithTree
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, StormStop::class);
    }

    public function moved(Specimen $from, Specimen $to): void
    {
        foreach ($this->findBy(['specimen' => $from]) as $stop) {
            $stop->specimen = $to;
        }
    }

    /** @return list<StormStop> in the order of the walk */
    public function ofWalk(StormWalk $walk): array
    {
        return $this->findBy(['walk' => $walk], ['number' => 'ASC']);
    }

    /** @return list<StormStop> of that tree, in all storms, the last first */
    public function ofTree(Specimen $tree): array
    {
        /** @var list<StormStop> $stops */
        $stops = $this->createQueryBuilder('s')
            ->join('s.walk', 'w')
            ->where('s.specimen = :tree')
            ->setParameter('tree', $tree)
            ->orderBy('w.blewAt', 'DESC')
            ->getQuery()
            ->getResult();

        return $stops;
    }
}
