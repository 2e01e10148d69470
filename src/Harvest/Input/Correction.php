<?php

declare(strict_types=1);

namespace App\Harvest\Input;

use App\Harvest\Taken;
use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** What was taken, told better. */
final readonly class Correction
{
    /** @param string $because why it is corrected */
    public function __construct(
        #[Assert\Valid] public Taken $taken,
        #[Assert\NotBlank(message: 'Say why it is corrected.', normalizer: 'trim')]
        #[Assert\Length(max: 300)]
        #[PlainText]
        public string $because,
    ) {
    }
}
