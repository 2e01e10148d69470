<?php

declare(strict_types=1);

namespace App\Account\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** Somebody takes an invitation. */
final readonly class Joining
{
    /**
     * @param string $name     under which everything they do will stand
     * @param string $email    address they sign in with
     * @param string $password twelve letters or more
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Say your name.', normalizer: 'trim')]
        #[Assert\Length(max: 120)]
        #[PlainText]
        public string $name,
        #[Assert\NotBlank(message: 'Say the address you will sign in with.', normalizer: 'trim')]
        #[Assert\Email(message: 'That is no e-mail address.')]
        #[Assert\Length(max: 180)] public string $email,
        #[NewPassword] public string $password,
    ) {
    }
}
