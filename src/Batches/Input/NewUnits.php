<?php

declare(strict_types=1);

namespace App\Batches\Input;

use App\Web\Input\Day;
use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** Jars that are to be labelled. */
final readonly class NewUnits
{
    /**
     * @param int    $count      how many
     * @param string $contents   what is in each, and how much
     * @param string $bestBefore day, YYYY-MM-DD
     */
    public function __construct(
        #[Assert\Range(min: 1, max: 200)] public int $count,
        #[Assert\NotBlank(message: 'Say what is in them.', normalizer: 'trim')]
        #[Assert\Length(max: 120)]
        #[PlainText]
        public string $contents,
        #[Assert\NotBlank] #[Day] public string $bestBefore,
    ) {
    }
}
