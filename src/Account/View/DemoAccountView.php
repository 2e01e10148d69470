<?php

declare(strict_types=1);

namespace App\Account\View;

use Hylognosis\Examination\ExaminerRole;

/** An account the demo offers at the door. */
final readonly class DemoAccountView
{
    public function __construct(public string $email, public string $password, public string $name, public ExaminerRole $role)
    {
    }
}
