<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** A twig with ring scars. */
final readonly class TwigQuery
{
    /**
     * @param string $pieces mm from scar to scar, the tip first, with spaces between
     * @param bool $growing the piece at the tip still grows
     */
    public function __construct(
        #[Assert\NotBlank] #[Assert\Regex(
            '/^\d{1,5}(\.\d{1,3})?( \d{1,5}(\.\d{1,3})?){0,39}$/D',
            message: 'Write the numbers one after the other, with spaces.',
        ),]
        public string $pieces,
        public bool $growing = false,
    ) {
    }
}
