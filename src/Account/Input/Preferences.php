<?php

declare(strict_types=1);

namespace App\Account\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** What somebody prefers. */
final readonly class Preferences
{
    public function __construct(
        #[Assert\Choice(['metric', 'imperial'])]
        public string $units,
        /** Name of a shipped flora; left out: as it was. */
        #[Assert\Length(max: 80)]
        public ?string $flora = null,
    ) {
    }
}
