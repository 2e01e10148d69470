<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Mnemonic> */
final class MnemonicRepository extends ServiceEntityRepository
{
    private const MOST = 30;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Mnemonic::class);
    }

    /** @return list<Mnemonic> one's own first, then what others share */
    public function seenBy(User $user, string $about): array
    {
        /** @var list<Mnemonic> $found */
        $found = $this->createQueryBuilder('m')
            ->where('m.about = :about AND (m.by = :user OR m.isShared = :yes)')
            ->setParameter('about', $about)
            ->setParameter('user', $user)
            ->setParameter('yes', true)
            ->orderBy('m.madeAt')
            ->setMaxResults(self::MOST)
            ->getQuery()
            ->getResult();
        usort($found, static fn (Mnemonic $a, Mnemonic $b): int => ($b->by === $user) <=> ($a->by === $user));

        return $found;
    }
}
