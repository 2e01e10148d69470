<?php

declare(strict_types=1);

namespace App\Survey;

use App\Trees\GoesWithTree;
use App\Trees\Specimen;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Hylognosis\Survey\SeenMark;

/** @extends ServiceEntityRepository<SurveyLook> */
final class SurveyLookRepository extends ServiceEntityRepository implements GoesWithTree
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, SurveyLook::class);
    }

    public function moved(Specimen $from, Specimen $to): void
    {
        foreach ($this->findBy(['specimen' => $from]) as $look) {
            $look->specimen = $to;
        }
    }

    /** @return list<SurveyLook> */
    public function ofSurvey(Survey $survey): array
    {
        return $this->findBy(['survey' => $survey], ['lookedAt' => 'ASC', 'id' => 'ASC']);
    }

    /**
     * What was seen last.
     *
     * @param list<string> $trees ids of trees and stands
     *
     * @return array<string, list<SeenMark>> by tree or stand
     */
    public function lastSeen(array $trees): array
    {
        /** @var list<SurveyLook> $looks */
        $looks = $this->createQueryBuilder('l')
            ->where('l.specimen IN (:trees) OR l.stand IN (:trees)')
            ->setParameter('trees', $trees)
            ->orderBy('l.lookedAt')
            ->getQuery()
            ->getResult();
        $seen = [];
        foreach ($looks as $look) {
            $seen[$look->specimen->id ?? $look->stand->id ?? ''] = $look->seen();
        }

        return $seen;
    }
}
