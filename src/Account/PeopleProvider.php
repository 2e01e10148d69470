<?php

declare(strict_types=1);

namespace App\Account;

use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use Symfony\Component\Security\Core\Exception\UnsupportedUserException;
use Symfony\Component\Security\Core\Exception\UserNotFoundException;
use Symfony\Component\Security\Core\User\UserInterface;
use Symfony\Component\Security\Core\User\UserProviderInterface;

/**
 * The people of the school by e-mail. Somebody nobody knows takes as long as somebody known: how long a sign-in takes
 * tells nothing of who has an account.
 *
 * @implements UserProviderInterface<User>
 */
final readonly class PeopleProvider implements UserProviderInterface
{
    public function __construct(private UserRepository $people, private PasswordHasherFactoryInterface $hashers)
    {
    }

    public function loadUserByIdentifier(string $identifier): User
    {
        $known = $this->people->findOneBy(['email' => User::normalised($identifier)]);
        if (null !== $known && !$known->hasLeft()) {
            return $known;
        }
        $this->hashers->getPasswordHasher(User::class)->hash('as dear as looking at one');
        throw new UserNotFoundException();
    }

    public function refreshUser(UserInterface $user): User
    {
        if (!$user instanceof User) {
            throw new UnsupportedUserException();
        }

        $now = $this->people->find($user->id);

        return null === $now || $now->hasLeft() || $now->epoch !== $user->epoch
            ? throw new UserNotFoundException()
            : $now;
    }

    public function supportsClass(string $class): bool
    {
        return User::class === $class;
    }
}
