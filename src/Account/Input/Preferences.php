<?php

declare(strict_types=1);

namespace App\Account\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** What somebody prefers. */
final readonly class Preferences
{
    /**
     * @param string      $units metric or imperial
     * @param string|null $flora name of the flora to work with; null leaves it as it is
     */
    public function __construct(
        #[Assert\Choice(['metric', 'imperial'])]
        public string $units,
        #[Assert\Length(max: 80)]
        public ?string $flora = null,
    ) {
    }
}
