<?php

declare(strict_types=1);

namespace App\Trials;

use App\Trees\GoesWithTree;
use App\Trees\Specimen;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Trial> */
final class TrialRepository extends ServiceEntityRepository implements GoesWithTree
{
    private const MOST = 2000;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Trial::class);
    }

    public function moved(Specimen $from, Specimen $to): void
    {
        foreach ($this->findBy(['specimen' => $from]) as $trial) {
            $trial->specimen = $to;
        }
    }

    /** @return list<Trial> that hold, the last first */
    public function of(TrialOf $what): array
    {
        return $this->findBy(
            ['what' => $what, 'takenBackAt' => null],
            ['on' => 'DESC', 'recordedAt' => 'DESC'],
            self::MOST,
        );
    }
}
