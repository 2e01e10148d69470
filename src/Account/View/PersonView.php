<?php

declare(strict_types=1);

namespace App\Account\View;

use App\Account\User;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Measure\Units;

/** Somebody of the school. */
final readonly class PersonView
{
    public function __construct(public string $id, public string $name, public string $email, public ExaminerRole $role, public Units $units, public string $flora)
    {
    }

    public static function of(User $user): self
    {
        return new self($user->id, $user->name, $user->email, $user->role, Units::from($user->units), $user->flora);
    }
}
