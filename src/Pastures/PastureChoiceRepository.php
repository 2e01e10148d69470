<?php

declare(strict_types=1);

namespace App\Pastures;

use App\Trees\GoesWithTree;
use App\Trees\Specimen;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<PastureChoice> */
final class PastureChoiceRepository extends ServiceEntityRepository implements GoesWithTree
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, PastureChoice::class);
    }

    public function moved(Specimen $from, Specimen $to): void
    {
        foreach ($this->findBy(['specimen' => $from]) as $choice) {
            $choice->specimen = $to;
        }
    }

    /** @return array<string, PastureChoice> the last one, by tree or stand */
    public function holding(Pasture $pasture): array
    {
        $last = [];
        foreach ($this->findBy(['pasture' => $pasture], ['chosenAt' => 'ASC', 'id' => 'ASC']) as $choice) {
            $last[$choice->specimen->id ?? $choice->stand->id ?? ''] = $choice;
        }

        return $last;
    }
}
