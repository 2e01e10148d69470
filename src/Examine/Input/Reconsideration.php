<?php

declare(strict_types=1);

namespace App\Examine\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** A second examiner takes the conclusion back, on record. */
final readonly class Reconsideration
{
    /**
     * @param string $because why the conclusion does not hold
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Say why the first conclusion does not hold.', normalizer: 'trim')]
        #[Assert\Length(min: 10, max: 1000, minMessage: 'Say in a sentence why the first conclusion does not hold.')]
        #[PlainText] public string $because,
    ) {
    }
}
