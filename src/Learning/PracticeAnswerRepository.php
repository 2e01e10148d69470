<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<PracticeAnswer> */
final class PracticeAnswerRepository extends ServiceEntityRepository
{
    private const MOST = 500;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, PracticeAnswer::class);
    }

    /** @return list<PracticeAnswer> the last first */
    public function of(User $user): array
    {
        return $this->findBy(['by' => $user], ['at' => 'DESC', 'id' => 'DESC'], self::MOST);
    }
}
