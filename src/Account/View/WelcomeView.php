<?php

declare(strict_types=1);

namespace App\Account\View;

use App\Account\Role;

/** What somebody sees who follows an invitation. */
final readonly class WelcomeView
{
    /**
     * @param string $school  name of the school
     * @param string $name    as they are known there
     * @param string $by      who invited them
     * @param string $expires last day on which it holds, YYYY-MM-DD
     * @param bool   $renews  they are here already, and set a new password
     */
    public function __construct(
        public string $school,
        public string $name,
        public Role $role,
        public string $by,
        public string $expires,
        public bool $renews,
    ) {
    }
}
