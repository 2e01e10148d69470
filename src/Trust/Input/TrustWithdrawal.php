<?php

declare(strict_types=1);

namespace App\Trust\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** Why somebody is not trusted with it any more. */
final readonly class TrustWithdrawal
{
    /** @param string $because in a sentence */
    public function __construct(
        #[Assert\NotBlank(message: 'Say why; it is kept with it.')]
        #[Assert\Length(max: 500)]
        #[PlainText]
        public string $because = '',
    ) {
    }
}
