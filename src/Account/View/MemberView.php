<?php

declare(strict_types=1);

namespace App\Account\View;

use App\Account\Role;
use App\Account\User;

/** Somebody of the school, as those see them who look after it. */
final readonly class MemberView
{
    /**
     * @param string $id    its id
     * @param string $name  first and last name
     * @param string $email address they sign in with
     * @param bool   $left  the account has ended; what was done stays under the name
     * @param bool   $own   it is the reader
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $email,
        public Role $role,
        public bool $left,
        public bool $own,
    ) {
    }

    public static function of(User $user, User $reader): self
    {
        return new self($user->id, $user->name, $user->email, $user->role, $user->hasLeft(), $user === $reader);
    }
}
