<?php

declare(strict_types=1);

namespace App\Account;

use App\Library\FloraLibrary;
use App\Web\WorksWithFlora;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\UserInterface;
use Symfony\Component\Uid\Uuid;

/** Somebody of the school who signs in. */
#[ORM\Entity(repositoryClass: UserRepository::class)]
#[ORM\Table(name: 'person')]
class User implements UserInterface, PasswordAuthenticatedUserInterface, WorksWithFlora
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column]
    public string $password = '';

    #[ORM\Column(length: 8)]
    public string $units = 'metric';

    /** Name of the flora this person works with. */
    #[ORM\Column(length: 80, options: ['default' => FloraLibrary::DEFAULT])]
    public string $flora = FloraLibrary::DEFAULT;

    /** Since when somebody does no longer belong to it; what they did stays under their name. */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $leftAt = null;

    /**
     * When somebody last took all scores out in a file; examinations signed before that they can be no second person
     * for.
     */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $exportedAt = null;

    /** SHA-256 of the secret in the address of their calendar; empty where there is none. */
    #[ORM\Column(length: 64, options: ['default' => ''])]
    public string $calendarHash = '';

    /** Goes up where all sessions are to end: those of an earlier number are nobody's. */
    #[ORM\Column(options: ['default' => 0])]
    public int $epoch = 0;

    /** @var non-empty-string as {@see normalised} writes it: two spellings are no two people */
    #[ORM\Column(length: 180, unique: true)]
    public readonly string $email;

    /** @param non-empty-string $email */
    public function __construct(
        string $email,
        #[ORM\Column(length: 120)] public string $name,
        #[ORM\Column(length: 16)] public Role $role,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
        $this->email = self::normalised($email);
    }

    /**
     * @return ($email is non-empty-string ? non-empty-string : string)
     */
    public static function normalised(string $email): string
    {
        $composed = \Normalizer::normalize(mb_scrub(trim($email)), \Normalizer::FORM_KC);

        return mb_strtolower(\is_string($composed) && '' !== $composed ? $composed : $email);
    }

    public function hasLeft(): bool
    {
        return null !== $this->leftAt;
    }

    public function worksWith(): string
    {
        return $this->flora;
    }

    public function getUserIdentifier(): string
    {
        return $this->email;
    }

    public function getPassword(): string
    {
        return $this->password;
    }

    public function getRoles(): array
    {
        return ['ROLE_'.strtoupper($this->role->value)];
    }

    public function eraseCredentials(): void
    {
    }
}
