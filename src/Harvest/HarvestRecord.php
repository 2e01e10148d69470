<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Account\User;
use App\Examine\DecisionRecord;
use App\Storage\DayType;
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

    /**
     * @param int $shareLeft share left on the tree, percent
     */
    public function __construct(
        #[ORM\ManyToOne(cascade: ['persist'])]
        #[ORM\JoinColumn(nullable: false)]
        public readonly DecisionRecord $decision,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly User $takenBy,
        #[ORM\Column(type: DayType::NAME)]
        public readonly \DateTimeImmutable $takenOn,
        #[ORM\Column]
        public readonly float $amount,
        #[ORM\Column(length: 12)]
        public readonly AmountUnit $unit,
        #[ORM\Column(length: 200)]
        public readonly string $ripeness,
        #[ORM\Column]
        public readonly int $shareLeft,
        #[ORM\Column(length: 1000)]
        public readonly string $note,
        #[ORM\Column]
        public readonly \DateTimeImmutable $recordedAt,
        ?string $id = null,
    ) {
        $this->id = $id ?? Uuid::v7()->toRfc4122();
    }
}
