<?php

declare(strict_types=1);

namespace App\Account;

use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** A link by which somebody joins: it works once, for a while. Only the hash of its secret is kept. */
#[ORM\Entity(repositoryClass: InvitationRepository::class)]
#[ORM\Table(name: 'invitation')]
class Invitation
{
    public const DAYS = 14;

    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $withdrawnAt = null;

    #[ORM\ManyToOne]
    public ?User $taken = null;

    /**
     * @param string    $hash   SHA-256 of the secret in the link
     * @param string    $name   of whoever is invited, as they are known here
     * @param User|null $renews somebody who is here already and has lost the password: the link sets a new one
     */
    public function __construct(
        #[ORM\Column(length: 64, unique: true)]
        public readonly string $hash,
        #[ORM\Column(length: 120)]
        public readonly string $name,
        #[ORM\Column(length: 16)]
        public readonly Role $role,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly User $invitedBy,
        #[ORM\Column]
        public readonly \DateTimeImmutable $invitedAt,
        #[ORM\Column]
        public readonly \DateTimeImmutable $expiresAt,
        #[ORM\ManyToOne]
        public readonly ?User $renews = null,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function isOpen(\DateTimeImmutable $now): bool
    {
        return null === $this->taken && null === $this->withdrawnAt && $now < $this->expiresAt;
    }
}
