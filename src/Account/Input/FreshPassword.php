<?php

declare(strict_types=1);

namespace App\Account\Input;

/** A new password in place of a lost one. */
final readonly class FreshPassword
{
    /** @param string $password twelve letters or more */
    public function __construct(
        #[NewPassword]
        public string $password,
    ) {
    }
}
