<?php

declare(strict_types=1);

namespace App\Trees;

use App\Storage\DayType;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Measure\CalendarDay;
use Symfony\Component\Uid\Uuid;

/** One tree, with a tag by which it is found again. */
#[ORM\Entity(repositoryClass: SpecimenRepository::class)]
#[ORM\UniqueConstraint(columns: ['tag'])]
class Specimen
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /** Degrees, WGS 84; null where nobody has taken it. */
    #[ORM\Column(nullable: true)]
    public ?float $latitude = null;

    #[ORM\Column(nullable: true)]
    public ?float $longitude = null;

    /** Metres within which it stands, as the receiver said. */
    #[ORM\Column(nullable: true)]
    public ?float $uncertainty = null;

    #[ORM\Column(length: 12, options: ['default' => ''])]
    public PositionFrom $positionFrom = PositionFrom::Unknown;

    #[ORM\Column(length: 16, nullable: true)]
    public ?LifeStage $stage = null;

    #[ORM\Column(length: 8, options: ['default' => ''])]
    public Sex $sex = Sex::Unknown;

    /** How it stands, what has happened to it. */
    #[ORM\Column(length: 500, options: ['default' => ''])]
    public string $health = '';

    /** Why it is no more there to be looked at; empty while it is. */
    #[ORM\Column(length: 8, options: ['default' => ''])]
    public Gone $gone = Gone::Not;

    #[ORM\Column(type: DayType::NAME, nullable: true)]
    public ?\DateTimeImmutable $goneOn = null;

    /** Id of the tree this one turned out to be. */
    #[ORM\Column(length: 36, nullable: true)]
    public ?string $mergedInto = null;

    /** @var list<array{tag: string, until: string}> tags it had before, and the day each was given up */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $formerTags = [];

    /** The former tags as one line, so that a search finds the tree by them. */
    #[ORM\Column(length: 400, options: ['default' => ''])]
    public string $formerTagsLine = '';

    /** What it is held to be: a taxon of the flora below; empty where nobody has confirmed a kind. It opens no gate. */
    #[ORM\Column(length: 80, options: ['default' => ''])]
    public string $kind = '';

    #[ORM\Column(length: 80, options: ['default' => ''])]
    public string $kindFlora = '';

    /** Why somebody doubts that kind; empty where nobody does. */
    #[ORM\Column(length: 500, options: ['default' => ''])]
    public string $doubt = '';

    public function __construct(
        #[ORM\Column(length: 24)] public string $tag,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public readonly Site $site,
        #[ORM\Column(length: 300)] public string $whereabouts,
        #[ORM\Column] public readonly \DateTimeImmutable $createdAt,
        ?string $id = null,
    ) {
        $this->id = $id ?? Uuid::v7()->toRfc4122();
    }

    /** The old tag stays with it: what was written by it is still found. */
    public function tagAnew(string $tag, \DateTimeImmutable $on): void
    {
        $this->rememberTag($this->tag, $on);
        $this->tag = $tag;
    }

    public function rememberTag(string $tag, \DateTimeImmutable $until): void
    {
        $this->formerTags = [...$this->formerTags, ['tag' => $tag, 'until' => CalendarDay::iso($until)]];
        $this->formerTagsLine = mb_substr(implode(' ', array_column($this->formerTags, 'tag')), 0, 400);
    }

    public function isThere(): bool
    {
        return Gone::Not === $this->gone;
    }
}
