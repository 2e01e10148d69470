<?php

declare(strict_types=1);

namespace App\Api\Input;

use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Position;
use Symfony\Component\Validator\Constraints as Assert;

/** A character, scored. Neither states nor numbers, with looked false: could not look. */
final readonly class NewScore
{
    /**
     * @param list<string> $states
     * @param list<float>  $numbers in the unit given
     */
    public function __construct(
        #[Assert\NotBlank]
        public string $character,
        #[Assert\All([new Assert\Type('string')])]
        public array $states = [],
        #[Assert\All([new Assert\Type('numeric'), new Assert\PositiveOrZero()])]
        #[Assert\Count(max: 100)]
        public array $numbers = [],
        #[Assert\Choice(['mm', 'cm', 'm', 'in', 'ft'])]
        public ?string $unit = null,
        public Certainty $certainty = Certainty::Sure,
        #[Assert\Range(min: 1, max: 200)]
        public int $samples = 1,
        public Whereabouts $where = Whereabouts::Tree,
        public bool $looked = true,
        public ?Position $position = null,
    ) {
    }
}
