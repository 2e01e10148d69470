<?php

declare(strict_types=1);

namespace App\Batches\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** Who has it now. */
final readonly class GivenTo
{
    /** @param string $givenTo in words; empty: nobody but the school */
    public function __construct(#[Assert\Length(max: 200)] #[PlainText] public string $givenTo)
    {
    }
}
