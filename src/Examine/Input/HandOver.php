<?php

declare(strict_types=1);

namespace App\Examine\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Who goes on with an examination. */
final readonly class HandOver
{
    /** @param string $to id of the person */
    public function __construct(
        #[Assert\Uuid(message: 'The id must be a UUID.')]
        public string $to,
    ) {
    }
}
