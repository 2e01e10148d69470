<?php

declare(strict_types=1);

namespace App\Entity;

use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Examination\Certainty;
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

    /**
     * @param list<string> $states
     * @param list<float>  $numbers in the character's unit
     * @param bool         $looked  false: "could not look"
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
        #[ORM\Column]
        public readonly bool $looked,
        #[ORM\Column]
        public readonly \DateTimeImmutable $recordedAt,
        #[ORM\Column(length: 8, nullable: true)]
        public readonly ?Position $position = null,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}
