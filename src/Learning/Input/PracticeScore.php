<?php

declare(strict_types=1);

namespace App\Learning\Input;

use Hylognosis\Examination\Certainty;
use Symfony\Component\Validator\Constraints as Assert;

/** What was read in one character. */
final readonly class PracticeScore
{
    /**
     * @param string       $character id
     * @param list<string> $states    read; none for numbers
     * @param list<float>  $numbers   read, in the character's own unit
     * @param int          $samples   at so many places, 1 to 3
     */
    public function __construct(
        #[Assert\NotBlank]
        #[Assert\Length(max: 80)]
        public string $character,
        #[Assert\Count(max: 6)]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('string'), new Assert\Length(max: 80)])]
        public array $states = [],
        #[Assert\Count(max: 6)]
        #[Assert\All([new Assert\NotNull(), new Assert\Type(['int', 'float'])])]
        public array $numbers = [],
        public Certainty $certainty = Certainty::Sure,
        #[Assert\Range(min: 1, max: 3)]
        public int $samples = 1,
    ) {
    }
}
