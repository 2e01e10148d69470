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

    /**
     * @param list<string> $trees ids
     *
     * @return array<string, float> tree → centimetres round the trunk, as it was measured last
     */
    public function girths(array $trees): array
    {
        return $this->last('girth', $trees);
    }

    /**
     * @param list<string> $trees ids
     *
     * @return array<string, float> tree → metres it is tall, as it was measured last
     */
    public function heights(array $trees): array
    {
        return $this->last('height', $trees);
    }

    /**
     * @param list<string> $trees
     *
     * @return array<string, float>
     */
    private function last(string $figure, array $trees): array
    {
        /** @var list<array{tree: string, figure: float}> $rows */
        $rows = $this->createQueryBuilder('m')
            ->select('IDENTITY(m.specimen) AS tree', "m.$figure AS figure")
            ->where("m.specimen IN (:trees) AND m.$figure IS NOT NULL")
            ->setParameter('trees', $trees)
            ->orderBy('m.on')
            ->addOrderBy('m.id')
            ->getQuery()
            ->getArrayResult();

        return array_column($rows, 'figure', 'tree');
    }
}
