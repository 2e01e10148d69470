<?php

declare(strict_types=1);

namespace App\Examine\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** Why a kind is doubted. */
final readonly class Doubt
{
    /** @param string $because in a few words */
    public function __construct(
        #[Assert\NotBlank(normalizer: 'trim', message: 'Say why you doubt it.')]
        #[Assert\Length(max: 500)]
        #[PlainText]
        public string $because,
    ) {
    }
}
