<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Account\User;
use App\Examine\DecisionRecord;
use App\Storage\DayType;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;
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

    /** @var Collection<int, HarvestCorrection> what stood here before, the last first */
    #[ORM\OneToMany(targetEntity: HarvestCorrection::class, mappedBy: 'harvest', cascade: ['persist'])]
    #[ORM\OrderBy(['at' => 'DESC'])]
    public Collection $corrections;

    public function __construct(
        #[ORM\ManyToOne(cascade: ['persist'])]
        #[ORM\JoinColumn(nullable: false)]
        public readonly DecisionRecord $decision,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public readonly User $takenBy,
        #[ORM\Column(type: DayType::NAME)] public readonly \DateTimeImmutable $takenOn,
        #[ORM\Embedded(columnPrefix: false)] public Taken $taken,
        #[ORM\Column] public readonly \DateTimeImmutable $recordedAt,
        ?string $id = null,
    ) {
        $this->id = $id ?? Uuid::v7()->toRfc4122();
        $this->corrections = new ArrayCollection();
    }

    /** What stood there before stays on record. */
    public function correct(Taken $taken, string $because, User $by, \DateTimeImmutable $at): void
    {
        $this->corrections->add(new HarvestCorrection($this, $this->taken->stood(), $because, $at, $by));
        $this->taken = $taken;
    }
}
