<?php

declare(strict_types=1);

namespace App\Account;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Makes links by which people join, or get a new password. The secret is told once; nobody can find it out again. */
final readonly class Invitations
{
    public function __construct(
        private EntityManagerInterface $entities,
        #[Autowire(service: 'clock')] private ClockInterface $clock,
    ) {
    }

    /**
     * To be called in a transaction.
     *
     * @return array{Invitation, string} the invitation and the secret of its link
     */
    public function make(User $by, string $name, Role $role, ?User $renews = null): array
    {
        $secret = rtrim(strtr(base64_encode(random_bytes(24)), '+/', '-_'), '=');
        $now = $this->clock->now();
        $until = $now->modify(\sprintf('+%d days', Invitation::DAYS));
        $invitation = new Invitation(hash('sha256', $secret), $name, $role, $by, $now, $until, $renews);
        $this->entities->persist($invitation);

        return [$invitation, $secret];
    }
}
