<?php

declare(strict_types=1);

namespace App\Account\View;

use App\Account\Role;
use App\Account\User;

/** Somebody who may examine. */
final readonly class ExaminerView
{
    /**
     * @param string $id   its id
     * @param string $name first and last name
     */
    public function __construct(public string $id, public string $name, public Role $role)
    {
    }

    public static function of(User $user): self
    {
        return new self($user->id, $user->name, $user->role);
    }
}
