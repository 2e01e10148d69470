<?php

declare(strict_types=1);

namespace App\Examine;

use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\ScoreAnswer;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Position;
use Symfony\Component\Uid\Uuid;

/** One scored character, as it is kept. Nothing is overwritten: what was mistyped is taken back and stays on record. */
#[ORM\Entity]
#[ORM\Table(name: 'score')]
class ScoreRecord
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $takenBackAt = null;

    /** Whether it says the same as another: the same request sent again does. */
    public function saysTheSameAs(self $other): bool
    {
        return [
            $this->character,
            $this->states,
            $this->numbers,
            $this->certainty,
            $this->samples,
            $this->where,
            $this->answer,
            $this->position,
            $this->either,
            $this->further,
        ] === [
            $other->character,
            $other->states,
            $other->numbers,
            $other->certainty,
            $other->samples,
            $other->where,
            $other->answer,
            $other->position,
            $other->either,
            $other->further,
        ];
    }

    /**
     * @param list<string> $states
     * @param list<float>  $numbers in the character's unit
     * @param ScoreAnswer  $answer  which of the ways to answer
     * @param bool         $either  one of the states was seen, and which could not be told
     * @param bool         $further recorded as a further look
     * @param string|null  $id      made by whoever sends it, so that the same request sent twice is one score
     */
    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'scores')]
        #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly ExaminationRecord $examination,
        #[ORM\Column(name: 'trait', length: 80)]
        public readonly string $character,
        #[ORM\Column(type: 'json')]
        public readonly array $states,
        #[ORM\Column(type: 'json')]
        public readonly array $numbers,
        #[ORM\Column(length: 8)]
        public readonly Certainty $certainty,
        #[ORM\Column]
        public readonly int $samples,
        #[ORM\Column(name: 'seen_where', length: 8)]
        public readonly Whereabouts $where,
        #[ORM\Column(length: 16, options: ['default' => 'seen'])]
        public readonly ScoreAnswer $answer,
        #[ORM\Column]
        public readonly \DateTimeImmutable $recordedAt,
        #[ORM\Column(length: 8, nullable: true)]
        public readonly ?Position $position = null,
        #[ORM\Column(name: 'one_of', options: ['default' => false])]
        public readonly bool $either = false,
        #[ORM\Column(options: ['default' => true])]
        public readonly bool $further = false,
        ?string $id = null,
    ) {
        $this->id = $id ?? Uuid::v7()->toRfc4122();
    }
}
