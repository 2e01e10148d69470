<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Account\User;
use App\Examine\DecisionRecord;
use App\Storage\DayType;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Measure\AmountUnit;
use Symfony\Component\Uid\Uuid;

/** What was taken, under which cleared decision. */
#[ORM\Entity(repositoryClass: HarvestRepository::class)]
#[ORM\Table(name: 'harvest')]
#[ORM\Index(name: 'harvest_day', columns: ['taken_on', 'recorded_at'])]
class HarvestRecord
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /** Somebody's time at it; null where nobody looked at the clock. */
    #[ORM\Column(nullable: true)]
    public ?int $minutes = null;

    /** So many were looked at, and so many of them were sound. */
    #[ORM\Column(options: ['default' => 0])]
    public int $opened = 0;

    #[ORM\Column(options: ['default' => 0])]
    public int $sound = 0;

    #[ORM\Column(length: 8, options: ['default' => ''])]
    public CountBy $countBy = CountBy::Nobody;

    /** @var Collection<int, HarvestCorrection> what stood here before, the last first */
    #[ORM\OneToMany(targetEntity: HarvestCorrection::class, mappedBy: 'harvest', cascade: ['persist'])]
    #[ORM\OrderBy(['at' => 'DESC'])]
    public Collection $corrections;

    /**
     * @param int $shareLeft share left on the tree, percent
     */
    public function __construct(
        #[ORM\ManyToOne(cascade: ['persist'])]
        #[ORM\JoinColumn(nullable: false)]
        public readonly DecisionRecord $decision,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public readonly User $takenBy,
        #[ORM\Column(type: DayType::NAME)] public readonly \DateTimeImmutable $takenOn,
        #[ORM\Column] public float $amount,
        #[ORM\Column(length: 12)] public AmountUnit $unit,
        #[ORM\Column(length: 200)] public string $ripeness,
        #[ORM\Column] public int $shareLeft,
        #[ORM\Column(length: 1000)] public string $note,
        #[ORM\Column] public readonly \DateTimeImmutable $recordedAt,
        ?string $id = null,
    ) {
        $this->id = $id ?? Uuid::v7()->toRfc4122();
        $this->corrections = new ArrayCollection();
    }

    public function count(?int $minutes, int $opened, int $sound, CountBy $by): void
    {
        [$this->minutes, $this->opened, $this->sound, $this->countBy] = [$minutes, $opened, $sound, $by];
    }
}
