<?php

declare(strict_types=1);

namespace App\Account\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Somebody changes their password. */
final readonly class PasswordChange
{
    /**
     * @param string $present the password so far
     * @param string $next    twelve letters or more
     */
    public function __construct(
        #[Assert\NotBlank]
        #[Assert\Length(max: 200)]
        public string $present,
        #[NewPassword]
        public string $next,
    ) {
    }
}
