<?php

declare(strict_types=1);

namespace App\Account\View;

use App\Account\Role;

/** An account the demo offers at the door. */
final readonly class DemoAccountView
{
    /**
     * @param string $email    address they sign in with
     * @param string $password the same for all of the demo
     * @param string $name     first and last name
     */
    public function __construct(
        public string $email,
        public string $password,
        public string $name,
        public Role $role,
    ) {
    }
}
