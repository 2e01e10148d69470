<?php

declare(strict_types=1);

namespace App\Account\View;

use App\Account\Role;
use App\Account\User;
use Hylognosis\Measure\Units;

/** Somebody of the school. */
final readonly class PersonView
{
    /**
     * @param string $id    its id
     * @param string $name  first and last name
     * @param string $email address they sign in with
     * @param string $flora name of the flora they work with
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $email,
        public Role $role,
        public Units $units,
        public string $flora,
    ) {
    }

    public static function of(User $user): self
    {
        return new self($user->id, $user->name, $user->email, $user->role, Units::from($user->units), $user->flora);
    }
}
