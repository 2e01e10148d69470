<?php

declare(strict_types=1);

namespace App\Season;

use App\Trees\GoesWithTree;
use App\Trees\Specimen;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Hylognosis\Crop\CropGrade;

/**
 * @extends ServiceEntityRepository<CropNote>
 *
 * @phpstan-type Note array{tree: string, site: string, kind: string, part: string, year: int, grade: CropGrade,
 *     opened: int, sound: int}
 */
final class CropNoteRepository extends ServiceEntityRepository implements GoesWithTree
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, CropNote::class);
    }

    public function moved(Specimen $from, Specimen $to): void
    {
        foreach ($this->findBy(['specimen' => $from]) as $note) {
            $note->specimen = $to;
        }
    }

    /** @return list<CropNote> that hold, the last year first */
    public function ofTree(Specimen $tree): array
    {
        return $this->findBy(['specimen' => $tree, 'takenBackAt' => null], ['year' => 'DESC', 'recordedAt' => 'DESC']);
    }

    /**
     * What was seen on trees of some kinds that nobody doubts, wherever they stand.
     *
     * @param list<string> $kinds
     *
     * @return list<Note>
     *     as it was recorded, the last first
     */
    public function ofKinds(string $flora, array $kinds): array
    {
        /** @var list<Note> $rows */
        $rows = $this->createQueryBuilder('n')
            ->select(
                's.id AS tree',
                'IDENTITY(s.site) AS site',
                's.kind',
                'n.part',
                'n.year',
                'n.grade',
                'n.opened',
                'n.sound',
            )
            ->join('n.specimen', 's')
            ->where("n.takenBackAt IS NULL AND s.kindFlora = :flora AND s.kind IN (:kinds) AND s.doubt = ''")
            ->setParameter('flora', $flora)
            ->setParameter('kinds', $kinds)
            ->orderBy('n.recordedAt', 'DESC')
            ->getQuery()
            ->getArrayResult();

        return $rows;
    }
}
