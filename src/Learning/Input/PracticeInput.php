<?php

declare(strict_types=1);

namespace App\Learning\Input;

use Hylognosis\Learning\LearnersDecision;
use Symfony\Component\Validator\Constraints as Assert;

/** What somebody says of a practice tree. */
final readonly class PracticeInput
{
    /**
     * @param string              $id       a UUID made by whoever answers
     * @param string              $said     the kind it is taken for, its id; empty: left open
     * @param list<PracticeScore> $scores   what was read
     * @param list<string>        $couldBe  kinds it could still be, their ids
     */
    public function __construct(
        #[Assert\Uuid(message: 'The id must be a UUID.')]
        public string $id,
        public LearnersDecision $decision,
        #[Assert\Length(max: 80)]
        public string $said = '',
        #[Assert\Count(max: 150)]
        #[Assert\Valid]
        public array $scores = [],
        #[Assert\Count(max: 12)]
        #[Assert\All([new Assert\Type('string'), new Assert\Length(max: 80)])]
        public array $couldBe = [],
    ) {
    }
}
