<?php

declare(strict_types=1);

namespace App\Batches\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Another batch is put to this one. */
final readonly class JoinTo
{
    /** @param string $other id of the other */
    public function __construct(#[Assert\NotBlank] #[Assert\Uuid] public string $other)
    {
    }
}
