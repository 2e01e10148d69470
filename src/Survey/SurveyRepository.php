<?php

declare(strict_types=1);

namespace App\Survey;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Survey> */
final class SurveyRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Survey::class);
    }

    /** @return list<Survey> the last first */
    public function all(): array
    {
        return $this->findBy([], ['on' => 'DESC', 'begunAt' => 'DESC'], 200);
    }
}
