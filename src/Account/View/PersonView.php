<?php

declare(strict_types=1);

namespace App\Account\View;

use App\Account\User;

/** Somebody of the school. */
final readonly class PersonView
{
    public function __construct(public string $id, public string $name, public string $email, public string $role, public string $units, public string $flora)
    {
    }

    public static function of(User $user): self
    {
        return new self($user->id, $user->name, $user->email, $user->role->value, $user->units, $user->flora);
    }
}
