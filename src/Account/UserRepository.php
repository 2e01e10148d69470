<?php

declare(strict_types=1);

namespace App\Account;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<User> */
final class UserRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, User::class);
    }

    public function isAnybodyHere(): bool
    {
        return null !== $this->findOneBy([]);
    }

    /** Those who have not left. */
    public function countInstructors(): int
    {
        return $this->count(['role' => Role::Instructor, 'leftAt' => null]);
    }

    /** @return list<User> by name; those who have left last */
    public function everybody(): array
    {
        $people = $this->findBy([], ['name' => 'ASC', 'id' => 'ASC']);
        usort($people, static fn (User $a, User $b): int => $a->hasLeft() <=> $b->hasLeft());

        return $people;
    }
}
