<?php

declare(strict_types=1);

namespace App\Learning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Proposes what is counted now. */
final readonly class RateProposalInput
{
    /** @param string $id made by whoever proposes, so that sent twice it is one */
    public function __construct(#[Assert\NotBlank] #[Assert\Uuid] public string $id = '')
    {
    }
}
