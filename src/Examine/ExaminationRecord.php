<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Trees\Specimen;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Flora\Instrument;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Reach;
use Symfony\Component\Uid\Uuid;

/** One scoring of one specimen by one examiner, as it is kept. */
#[ORM\Entity(repositoryClass: ExaminationRepository::class)]
#[ORM\Table(name: 'examination')]
#[ORM\Index(name: 'examination_date', columns: ['date', 'created_at'])]
#[ORM\Index(name: 'examination_open', columns: ['examiner_id', 'signed_at', 'created_at'])]
#[ORM\Index(name: 'examination_blind', columns: ['specimen_id', 'examiner_id', 'signed_at'])]
#[ORM\Index(name: 'examination_wanted', columns: ['second_wanted', 'date'])]
class ExaminationRecord
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column(length: 16)]
    public LifeStage $stage = LifeStage::Mature;

    #[ORM\Column(length: 24)]
    public string $route = 'branch-first';

    /** @var list<string> */
    #[ORM\Column(type: 'json')]
    public array $reach;

    /** @var list<string> */
    #[ORM\Column(type: 'json')]
    public array $kit;

    #[ORM\Column(length: 80, nullable: true)]
    public ?string $claimTaxon = null;

    #[ORM\Column(length: 40, nullable: true)]
    public ?string $claimPart = null;

    /** @var array<string, bool> */
    #[ORM\Column(type: 'json')]
    public array $conditions = [];

    /** @var array<string, string> the day each condition was answered on */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $conditionsOn = [];

    /** Why its day is not the day its scores were recorded on; empty where it is. */
    #[ORM\Column(length: 500, options: ['default' => ''])]
    public string $dateReason = '';

    /** As a second look: its examiner has taken the conclusion back. */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $reconsideredAt = null;

    /** Why. */
    #[ORM\Column(length: 1000, options: ['default' => ''])]
    public string $reconsideredBecause = '';

    /** Names of candidates stay covered in a blind examination until the examiner uncovers them. */
    #[ORM\Column]
    public bool $blind = false;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $uncoveredAt = null;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $signedAt = null;

    /** The examination this one is the independent second look at. */
    #[ORM\ManyToOne(targetEntity: self::class)]
    public ?self $secondOf = null;

    /** As a second look: its examiner had not seen the first scores when it began. */
    #[ORM\Column]
    public bool $unprejudiced = true;

    /** @var list<string> ids of other people who have looked at these scores */
    #[ORM\Column(type: 'json')]
    public array $seenBy = [];

    /** When it was signed, a second person was all that was missing. A hint where to look; what is wanted now is reckoned anew. */
    #[ORM\Column(options: ['default' => false])]
    public bool $secondWanted = false;

    /** @var Collection<int, ScoreRecord> */
    #[ORM\OneToMany(targetEntity: ScoreRecord::class, mappedBy: 'examination', cascade: ['persist'])]
    #[ORM\OrderBy(['recordedAt' => 'ASC', 'id' => 'ASC'])]
    public Collection $scores;

    /** @param string $date day of the examination, `2027-06-14` */
    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Specimen $specimen,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly User $examiner,
        #[ORM\Column(length: 10)]
        public string $date,
        #[ORM\Column(length: 80)]
        public readonly string $flora,
        #[ORM\Column(length: 64)]
        public readonly string $floraHash,
        #[ORM\Column]
        public readonly \DateTimeImmutable $createdAt,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
        $this->scores = new ArrayCollection();
        $this->reach = array_map(static fn (Reach $reach): string => $reach->value, Reach::cases());
        $this->kit = [Instrument::None->value, Instrument::Rule->value, Instrument::HandLens->value, Instrument::Knife->value];
    }

    public function isSigned(): bool
    {
        return null !== $this->signedAt;
    }

    /** The day the oldest score was recorded on; null where there is none. */
    public function firstScoredOn(): ?string
    {
        $days = array_map(static fn (ScoreRecord $score): string => $score->recordedAt->format('Y-m-d'), array_values($this->scores->toArray()));

        return [] === $days ? null : min($days);
    }

    /** Under way as a second look: neither the first scores nor the hope may be known to its examiner. */
    public function hidesTheHope(): bool
    {
        return null !== $this->secondOf && !$this->isSigned();
    }

    public function hidesNames(): bool
    {
        return $this->blind && null === $this->uncoveredAt && !$this->isSigned();
    }
}
