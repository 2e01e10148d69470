<?php

declare(strict_types=1);

namespace App\Batches\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** A batch comes to its end. */
final readonly class EndBatch
{
    /**
     * @param bool   $givenUp it came to nothing
     * @param string $note    what to do otherwise next time
     */
    public function __construct(
        public bool $givenUp = false,
        #[Assert\Length(max: 1000)] #[PlainText] public string $note = '',
    ) {
    }
}
