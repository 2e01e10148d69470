<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Storage\DayType;
use App\Trees\Specimen;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Flora\Instrument;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Reach;
use Hylognosis\Measure\CalendarDay;
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

    /** As whom its examiner looked when it was begun; who becomes an instructor later did not look as one. */
    #[ORM\Column(length: 16, options: ['default' => 'learner'])]
    public ExaminerRole $examinedAs;

    /** @var list<array{name: string, person: string, on: string, scores: int}> who had it before, until when, and how many of the scores are theirs */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $handedOver = [];

    /** It was made elsewhere and brought in with a file: it is read, and never opens a gate. */
    #[ORM\Column(options: ['default' => false])]
    public bool $broughtIn = false;

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

    /**
     * When it was signed, a second person was all that was missing. A hint where to look; what is wanted now is
     * reckoned anew.
     */
    #[ORM\Column(options: ['default' => false])]
    public bool $secondWanted = false;

    /** @var Collection<int, ScoreRecord> */
    #[ORM\OneToMany(targetEntity: ScoreRecord::class, mappedBy: 'examination', cascade: ['persist'])]
    #[ORM\OrderBy(['recordedAt' => 'ASC', 'id' => 'ASC'])]
    public Collection $scores;

    public function __construct(
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public Specimen $specimen,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public User $examiner,
        #[ORM\Column(type: DayType::NAME)] public \DateTimeImmutable $date,
        #[ORM\Column(length: 80)] public readonly string $flora,
        #[ORM\Column(length: 64)] public readonly string $floraHash,
        #[ORM\Column] public readonly \DateTimeImmutable $createdAt,
        ?string $id = null,
    ) {
        $this->id = $id ?? Uuid::v7()->toRfc4122();
        $this->scores = new ArrayCollection();
        $this->examinedAs = $examiner->role->examiner();
        $this->reach = array_map(static fn (Reach $reach): string => $reach->value, Reach::cases());
        $this->kit = [
            Instrument::None->value,
            Instrument::Rule->value,
            Instrument::HandLens->value,
            Instrument::Knife->value,
        ];
    }

    /** The lowest of all who looked: whom a learner handed it over to cannot make more of it. */
    public function examinerRole(): ExaminerRole
    {
        return $this->isSigned() || ExaminerRole::Learner === $this->examinedAs
            ? $this->examinedAs
            : $this->examiner->role->examiner();
    }

    /** Somebody else goes on with it. Who has looked so far has seen the scores, and is no second person. */
    public function handOver(User $to, \DateTimeImmutable $on): void
    {
        $this->handedOver = [
            ...$this->handedOver,
            [
                'name' => $this->examiner->name,
                'person' => $this->examiner->id,
                'on' => CalendarDay::iso($on),
                'scores' => \count($this->scores),
            ],
        ];
        $this->seenBy = array_values(array_unique([...$this->seenBy, $this->examiner->id]));
        if (ExaminerRole::Learner === $to->role->examiner()) {
            $this->examinedAs = ExaminerRole::Learner;
        }
        $this->examiner = $to;
    }

    /** What somebody scored elsewhere stands as a learner's: no gate of this school opens on it. */
    public function bringIn(\DateTimeImmutable $signedAt): void
    {
        [$this->broughtIn, $this->examinedAs, $this->signedAt] = [true, ExaminerRole::Learner, $signedAt];
    }

    /** Closes the scores for good. */
    public function sign(\DateTimeImmutable $at): void
    {
        $this->examinedAs = $this->examinerRole();
        $this->signedAt = $at;
    }

    public function isSigned(): bool
    {
        return null !== $this->signedAt;
    }

    /** The day the oldest score was recorded on; null where there is none. */
    public function firstScoredOn(): ?\DateTimeImmutable
    {
        $days = array_map(
            static fn (ScoreRecord $score): \DateTimeImmutable => CalendarDay::of($score->recordedAt),
            array_values($this->scores->toArray()),
        );

        return [] === $days ? null : min($days);
    }

    /**
     * Whether its scores and pictures may be laid before somebody without a mark: whoever could still become the second
     * person must open the examination for them, and is none any more.
     */
    public function isOpenTo(User $reader): bool
    {
        return $this->examiner === $reader
            || ($this->isSigned() && (!$reader->role->mayDecide() || \in_array($reader->id, $this->seenBy, true)));
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

    public function cover(): Cover
    {
        return Cover::of($this->hidesTheHope(), $this->hidesNames());
    }
}
