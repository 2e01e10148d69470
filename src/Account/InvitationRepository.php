<?php

declare(strict_types=1);

namespace App\Account;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Invitation> */
final class InvitationRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Invitation::class);
    }

    /** The invitation with this secret, if it still holds. */
    public function open(string $secret, \DateTimeImmutable $now): ?Invitation
    {
        $found = $this->findOneBy(['hash' => hash('sha256', $secret)]);

        return true === $found?->isOpen($now) ? $found : null;
    }

    /** @return list<Invitation> those that still hold, newest first */
    public function allOpen(\DateTimeImmutable $now): array
    {
        return array_values(
            array_filter(
                $this->findBy(['taken' => null, 'withdrawnAt' => null], ['invitedAt' => 'DESC']),
                static fn (Invitation $invitation): bool => $invitation->isOpen($now),
            ),
        );
    }
}
