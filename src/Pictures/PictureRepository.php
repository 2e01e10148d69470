<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Account\User;
use App\Batches\Batch;
use App\Examine\ExaminationRepository;
use App\Harvest\HarvestRecord;
use App\Trees\GoesWithTree;
use App\Trees\Site;
use App\Trees\Specimen;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\ORM\QueryBuilder;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Picture> */
final class PictureRepository extends ServiceEntityRepository implements GoesWithTree
{
    private const MOST = 200;

    public function __construct(ManagerRegistry $registry, private readonly ExaminationRepository $examinations)
    {
        parent::__construct($registry, Picture::class);
    }

    /** @return list<Picture> of a tree, its scores and harvests, that this person may see now; the last first */
    public function ofTree(Specimen $tree, User $reader): array
    {
        return array_values(
            array_filter(
                self::pictures(
                    $this->there()
                        ->leftJoin('p.examination', 'e')
                        ->andWhere('p.specimen = :tree OR e.specimen = :tree')
                        ->setParameter('tree', $tree),
                ),
                fn (Picture $picture): bool => $this->shows($picture, $reader),
            ),
        );
    }

    /** @return list<Picture> of a harvest, that this person may see now; the last first */
    public function ofHarvest(HarvestRecord $harvest, User $reader): array
    {
        return array_values(
            array_filter(
                self::pictures($this->there()->andWhere('p.harvest = :harvest')->setParameter('harvest', $harvest)),
                fn (Picture $picture): bool => $this->shows($picture, $reader),
            ),
        );
    }

    /** @return list<Picture> of something that is made; the last first */
    public function ofBatch(Batch $batch): array
    {
        return self::pictures($this->there()->andWhere('p.batch = :batch')->setParameter('batch', $batch));
    }

    /** @return list<Picture> papers of what the owner of a place said; the last first */
    public function ofSite(Site $site): array
    {
        return self::pictures(
            $this->there()
                ->join('p.permission', 'permission')
                ->andWhere('permission.site = :site')
                ->setParameter('site', $site),
        );
    }

    public function moved(Specimen $from, Specimen $to): void
    {
        foreach ($this->findBy(['specimen' => $from]) as $picture) {
            $picture->specimen = $to;
        }
    }

    /** @return \Generator<int, Picture> all this person may see now, the first taken first */
    public function shown(User $reader): \Generator
    {
        $all = $this->createQueryBuilder('p')->where('p.removedAt IS NULL')->orderBy('p.takenOn')->addOrderBy('p.id');
        foreach ($all->getQuery()->toIterable() as $picture) {
            if ($picture instanceof Picture && $this->shows($picture, $reader)) {
                yield $picture;
            }
        }
    }

    /**
     * Whether somebody may see it now. What belongs to an examination is covered as its scores are: whoever looks at
     * the tree as the second person, or could still become that, sees nothing of it.
     */
    public function shows(Picture $picture, User $reader): bool
    {
        $tree = $picture->specimen ?? $picture->examination?->specimen;

        return null === $tree
            || $picture->examination?->examiner === $reader
            || (!$this->examinations->isLookingBlind($reader, $tree)
                && (null === $picture->examination || $picture->examination->isOpenTo($reader)));
    }

    private function there(): QueryBuilder
    {
        return $this->createQueryBuilder('p')
            ->where('p.removedAt IS NULL')
            ->orderBy('p.takenOn', 'DESC')
            ->addOrderBy('p.id', 'DESC')
            ->setMaxResults(self::MOST);
    }

    /** @return list<Picture> */
    private static function pictures(QueryBuilder $query): array
    {
        $rows = $query->getQuery()->getResult();
        \assert(\is_array($rows));

        return array_values(array_filter($rows, static fn (mixed $row): bool => $row instanceof Picture));
    }
}
