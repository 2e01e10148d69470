<?php

declare(strict_types=1);

namespace App\Season;

use App\Account\User;
use App\Storage\DayType;
use App\Trees\Specimen;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Season\SeasonalEvent;

/** Somebody saw on a tree that something of its year had come. Taken back, it stays on record. */
#[ORM\Entity(repositoryClass: TreeEventRepository::class)]
#[ORM\Table(name: 'tree_event')]
#[ORM\Index(name: 'tree_event_day', columns: ['happened_on'])]
class TreeEvent
{
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $takenBackAt = null;

    /** @param string $id made by whoever records it, so that sent twice it is recorded once */
    public function __construct(
        #[ORM\Id] #[ORM\Column(length: 36)] public readonly string $id,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public Specimen $specimen,
        #[ORM\Column(length: 16)] public readonly SeasonalEvent $event,
        #[ORM\Column(name: 'happened_on', type: DayType::NAME)] public readonly \DateTimeImmutable $on,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'seen_by_id', nullable: false)] public readonly User $by,
        #[ORM\Column] public readonly \DateTimeImmutable $recordedAt,
    ) {
    }
}
