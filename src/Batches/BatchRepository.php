<?php

declare(strict_types=1);

namespace App\Batches;

use App\Harvest\HarvestRecord;
use App\Trees\Specimen;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Batch> */
final class BatchRepository extends ServiceEntityRepository
{
    private const MOST = 200;
    /** Not DISTINCT: some databases cannot say whether two recipes kept as JSON are the same. */
    private const MADE_OF =
        'SELECT f.id FROM '.
        BatchSource::class.
        ' f JOIN f.harvest h JOIN h.decision d JOIN d.examination e WHERE f.batch = b';

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Batch::class);
    }

    /** @return list<Batch> those that run first, the last begun first */
    public function listed(): array
    {
        return $this->found(
            $this->createQueryBuilder('b')
                ->addSelect('CASE WHEN b.state = :running THEN 0 ELSE 1 END AS HIDDEN rank')
                ->setParameter('running', BatchState::Running->value)
                ->orderBy('rank')
                ->addOrderBy('b.begunAt', 'DESC')
                ->setMaxResults(self::MOST)
                ->getQuery()
                ->getResult(),
        );
    }

    /** @return list<Batch> */
    public function running(): array
    {
        return $this->findBy(['state' => BatchState::Running], ['begunAt' => 'ASC'], self::MOST);
    }

    /** @return list<Batch> into which something of a tree went, the last begun first */
    public function ofTree(Specimen $tree): array
    {
        return $this->found(
            $this->createQueryBuilder('b')
                ->where('EXISTS ('.self::MADE_OF.' AND e.specimen = :tree)')
                ->setParameter('tree', $tree)
                ->orderBy('b.begunAt', 'DESC')
                ->setMaxResults(self::MOST)
                ->getQuery()
                ->getResult(),
        );
    }

    /** @return list<Batch> made of a kind, the last begun first */
    public function ofTaxon(string $taxon): array
    {
        return $this->found(
            $this->createQueryBuilder('b')
                ->where('EXISTS ('.self::MADE_OF.' AND d.taxon = :taxon)')
                ->setParameter('taxon', $taxon)
                ->orderBy('b.begunAt', 'DESC')
                ->setMaxResults(self::MOST)
                ->getQuery()
                ->getResult(),
        );
    }

    /** Percent of a harvest that went into batches. */
    public function used(HarvestRecord $harvest): float
    {
        return (float) $this->createQueryBuilder('b')
            ->select('COALESCE(SUM(f.percent), 0)')
            ->join('b.sources', 'f')
            ->where('f.harvest = :harvest AND b.state <> :up')
            ->setParameter('harvest', $harvest)
            ->setParameter('up', BatchState::GivenUp->value)
            ->getQuery()
            ->getSingleScalarResult();
    }

    /** @return list<Batch> */
    private function found(mixed $rows): array
    {
        \assert(\is_array($rows));

        return array_values(array_filter($rows, static fn (mixed $row): bool => $row instanceof Batch));
    }
}
