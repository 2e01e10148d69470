<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Examine\ExaminationRecord;
use App\Trees\Site;
use App\Trees\Specimen;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\ORM\Query\Parameter;
use Doctrine\ORM\QueryBuilder;
use Doctrine\Persistence\ManagerRegistry;
use Hylognosis\Measure\AmountUnit;

/**
 * @extends ServiceEntityRepository<HarvestRecord>
 *
 * @phpstan-type TakenRow array{tree: string, taxon: string, part: string, on: \DateTimeImmutable, amount: float,
 *     unit: AmountUnit}
 */
final class HarvestRepository extends ServiceEntityRepository
{
    private const MOST = 50;
    private const MOST_AMOUNTS = 5000;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, HarvestRecord::class);
    }

    /** @return list<HarvestRecord> newest first, not more than the page of a species shows */
    public function ofTaxon(string $taxon, int $most = self::MOST): array
    {
        return self::harvests(
            $this->told()
                ->where('d.taxon = :taxon')
                ->setParameter('taxon', $taxon)
                ->setMaxResults($most)
                ->getQuery()
                ->getResult(),
        );
    }

    /** @return list<HarvestRecord> newest first */
    public function newest(int $most): array
    {
        return self::harvests($this->told()->setMaxResults($most)->getQuery()->getResult());
    }

    /** @return list<HarvestRecord> taken from a tree, newest first */
    public function ofSpecimen(Specimen $tree): array
    {
        return self::harvests(
            $this->told()
                ->where('e.specimen = :tree')
                ->setParameter('tree', $tree)
                ->setMaxResults(200)
                ->getQuery()
                ->getResult(),
        );
    }

    /**
     * The last of each part of some trees; one with a note goes before one without.
     *
     * @param list<string> $trees ids
     *
     * @return array<string, array<string, HarvestRecord>> by tree and part
     */
    public function lastOf(array $trees): array
    {
        $last = [];
        foreach (
            self::harvests(
                $this->told()
                    ->where('s.id IN (:trees)')
                    ->setParameter('trees', $trees)
                    ->setMaxResults(self::MOST_AMOUNTS)
                    ->getQuery()
                    ->getResult(),
            ) as $harvest
        ) {
            [$tree, $part] = [$harvest->decision->examination->specimen->id, $harvest->decision->part];
            $known = $last[$tree][$part] ?? null;
            if (null === $known || ('' === $known->taken->note && '' !== $harvest->taken->note)) {
                $last[$tree][$part] = $harvest;
            }
        }

        return $last;
    }

    /**
     * What was ever brought home of some kinds.
     *
     * @param list<string> $taxa
     *
     * @return list<TakenRow>
     */
    public function amounts(array $taxa): array
    {
        /** @var list<TakenRow> $rows */
        $rows = $this->createQueryBuilder('h')
            ->select(
                'IDENTITY(e.specimen) AS tree',
                'd.taxon',
                'd.part',
                'h.takenOn AS on',
                'h.taken.amount AS amount',
                'h.taken.unit AS unit',
            )
            ->join('h.decision', 'd')
            ->join('d.examination', 'e')
            ->where('d.taxon IN (:taxa)')
            ->setParameter('taxa', $taxa)
            ->orderBy('h.takenOn', 'DESC')
            ->setMaxResults(self::MOST_AMOUNTS)
            ->getQuery()
            ->getArrayResult();

        return $rows;
    }

    /** With all that is told of them, so that none is asked for one by one. */
    private function told(): QueryBuilder
    {
        return $this->createQueryBuilder('h')
            ->addSelect('d', 'e', 's', 'site', 'who')
            ->join('h.decision', 'd')
            ->join('d.examination', 'e')
            ->join('e.specimen', 's')
            ->join('s.site', 'site')
            ->join('h.takenBy', 'who')
            ->orderBy('h.takenOn', 'DESC')
            ->addOrderBy('h.recordedAt', 'DESC');
    }

    /** @return list<HarvestRecord> newest first */
    public function ofExamination(ExaminationRecord $examination): array
    {
        return self::harvests(
            $this->createQueryBuilder('h')
                ->join('h.decision', 'd')
                ->where('d.examination = :examination')
                ->setParameter('examination', $examination)
                ->orderBy('h.recordedAt', 'DESC')
                ->getQuery()
                ->getResult(),
        );
    }

    /** Takings of a part of a taxon at a site in a year. */
    public function takings(Site $site, string $taxon, string $part, int $year): int
    {
        return (int) $this->createQueryBuilder('h')
            ->select('COUNT(h.id)')
            ->join('h.decision', 'd')
            ->join('d.examination', 'e')
            ->join('e.specimen', 's')
            ->where('s.site = :site AND d.taxon = :taxon AND d.part = :part AND h.takenOn BETWEEN :from AND :to')
            ->setParameters(
                new ArrayCollection([
                    new Parameter('site', $site),
                    new Parameter('taxon', $taxon),
                    new Parameter('part', $part),
                    new Parameter('from', $year.'-01-01'),
                    new Parameter('to', $year.'-12-31'),
                ]),
            )
            ->getQuery()
            ->getSingleScalarResult();
    }

    /** @return list<HarvestRecord> */
    private static function harvests(mixed $rows): array
    {
        \assert(\is_array($rows));

        return array_values(array_filter($rows, static fn (mixed $row): bool => $row instanceof HarvestRecord));
    }
}
