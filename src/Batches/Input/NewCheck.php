<?php

declare(strict_types=1);

namespace App\Batches\Input;

use App\Web\Input\PlainText;
use Hylognosis\Recipe\CheckAnswer;
use Symfony\Component\Validator\Constraints as Assert;

/** What somebody found who looked whether a step is done. */
final readonly class NewCheck
{
    /** @param string $note how it tasted, felt or looked */
    public function __construct(
        public CheckAnswer $answer,
        #[Assert\Length(max: 300)] #[PlainText] public string $note = '',
    ) {
    }
}
