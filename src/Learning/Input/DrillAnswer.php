<?php

declare(strict_types=1);

namespace App\Learning\Input;

use Hylognosis\Examination\Certainty;
use Symfony\Component\Validator\Constraints as Assert;

/** An answer to one question of a drill. */
final readonly class DrillAnswer
{
    /**
     * @param string $card   what was asked
     * @param int    $lot    that drew it
     * @param string $answer id of the choice, or the number as it was typed
     */
    public function __construct(
        #[Assert\NotBlank]
        #[Assert\Length(max: 200)]
        public string $card,
        #[Assert\Range(min: 0, max: 2_000_000_000)]
        public int $lot,
        #[Assert\NotBlank(message: 'Choose an answer.')]
        #[Assert\Length(max: 80)]
        public string $answer,
        public Certainty $certainty = Certainty::Sure,
    ) {
    }
}
