<?php

declare(strict_types=1);

namespace App\Library;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\DBAL\Exception\TableNotFoundException;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<NeverReview> */
final class NeverReviewRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, NeverReview::class);
    }

    /** @return list<NeverReview> oldest first; none where there is no database yet */
    public function ofFlora(string $flora): array
    {
        try {
            $rows = $this->createQueryBuilder('r')
                ->where('r.flora = :flora')
                ->setParameter('flora', $flora)
                ->orderBy('r.recordedAt', 'ASC')
                ->addOrderBy('r.id', 'ASC')
                ->getQuery()
                ->getResult();
        } catch (TableNotFoundException) {
            return [];
        }
        \assert(\is_array($rows));

        return array_values(array_filter($rows, static fn (mixed $row): bool => $row instanceof NeverReview));
    }

    /** Changes whenever a review of the flora is added. */
    public function fingerprint(string $flora): string
    {
        try {
            $row = $this->createQueryBuilder('r')
                ->select('COUNT(r.id) AS n, MAX(r.id) AS last')
                ->where('r.flora = :flora')
                ->setParameter('flora', $flora)
                ->getQuery()
                ->getSingleResult();
        } catch (TableNotFoundException) {
            return '';
        }
        \assert(\is_array($row));

        return 0 === $row['n'] ? '' : json_encode($row, \JSON_THROW_ON_ERROR);
    }
}
