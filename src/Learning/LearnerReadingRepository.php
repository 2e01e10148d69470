<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<LearnerReading> */
final class LearnerReadingRepository extends ServiceEntityRepository
{
    /** The last so many tell how somebody reads now. */
    private const MOST = 5000;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, LearnerReading::class);
    }

    /** @return list<LearnerReading> the last first */
    public function of(User $user): array
    {
        return $this->findBy(['by' => $user], ['at' => 'DESC', 'id' => 'DESC'], self::MOST);
    }

    /** @return list<LearnerReading> of everybody, the last first */
    public function all(string $flora): array
    {
        return $this->findBy(['flora' => $flora], ['at' => 'DESC', 'id' => 'DESC'], 10 * self::MOST);
    }
}
