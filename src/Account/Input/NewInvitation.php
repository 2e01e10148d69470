<?php

declare(strict_types=1);

namespace App\Account\Input;

use App\Account\Role;
use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** Somebody is invited. */
final readonly class NewInvitation
{
    /**
     * @param string $name  as they are known here; they may write it otherwise when they join
     * @param string $email where the link is sent, if a mail server is set; it is not kept
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Say who is invited.', normalizer: 'trim')]
        #[Assert\Length(max: 120)]
        #[PlainText]
        public string $name,
        public Role $role,
        #[Assert\Length(max: 180)] #[Assert\Email] public string $email = '',
    ) {
    }
}
