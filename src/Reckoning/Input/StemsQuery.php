<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Stems that come from one foot. */
final readonly class StemsQuery
{
    /**
     * @param string $girths round each at breast height, cm, with spaces between
     */
    public function __construct(
        #[Assert\NotBlank] #[Assert\Regex(
            '/^\d{1,5}(\.\d{1,3})?( \d{1,5}(\.\d{1,3})?){0,39}$/D',
            message: 'Write the numbers one after the other, with spaces.',
        ),]
        public string $girths,
    ) {
    }
}
