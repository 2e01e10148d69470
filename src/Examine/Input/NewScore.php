<?php

declare(strict_types=1);

namespace App\Examine\Input;

use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\ScoreAnswer;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Position;
use Symfony\Component\Validator\Constraints as Assert;

/** A character, scored. */
final readonly class NewScore
{
    /**
     * @param string       $id        a UUID made by whoever sends it: the same request sent twice is one score
     * @param string       $character id of the character
     * @param list<string> $states    or coarser words; empty unless something was seen
     * @param list<float>  $numbers   in the unit given
     * @param string|null  $unit      mm, cm, m, in or ft; null: the unit of the character
     * @param int          $samples   on how many twigs, leaves, fruits it was seen, 1 to 200
     * @param bool         $either    one of the states was seen, and which cannot be told
     * @param string|null  $at        when it was recorded, where it could not be sent at once (RFC 3339); not still to
     *                                         come, and not before the examination; null: now
     * @param bool         $further   the examiner went and looked again, knowing what was scored before
     */
    public function __construct(
        #[Assert\NotBlank(message: 'A score needs an id of its own, made by whoever sends it.', normalizer: 'trim')]
        #[Assert\Uuid(message: 'The id must be a UUID.')]
        public string $id,
        #[Assert\NotBlank] #[Assert\Length(max: 64)] public string $character,
        #[Assert\All([new Assert\NotNull(), new Assert\Type('string'), new Assert\Length(max: 64)])]
        #[Assert\Count(max: 20)]
        public array $states = [],
        #[Assert\All([
            new Assert\NotNull(),
            new Assert\Type(['int', 'float'], message: 'This is no number.'),
            new Assert\Range(min: 0, max: 1_000_000),
        ]),]
        #[Assert\Count(max: 100)] public array $numbers = [],
        #[Assert\Choice(['mm', 'cm', 'm', 'in', 'ft'])] public ?string $unit = null,
        public Certainty $certainty = Certainty::Sure,
        #[Assert\Range(min: 1, max: 200)] public int $samples = 1,
        public Whereabouts $where = Whereabouts::Tree,
        public ScoreAnswer $answer = ScoreAnswer::Seen,
        public ?Position $position = null,
        public bool $either = false,
        public bool $further = false,
        #[Assert\DateTime(format: \DATE_RFC3339, message: 'This is no moment.')] public ?string $at = null,
    ) {
    }
}
