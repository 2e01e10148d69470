<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Account\User;
use App\Storage\DayType;
use App\Trees\Specimen;
use Doctrine\ORM\Mapping as ORM;

/** A tree somebody looks at for a whole year. */
#[ORM\Entity]
#[ORM\Table(name: 'adopted_tree')]
#[ORM\Index(name: 'adopted_tree_of', columns: ['learner_id', 'since'])]
class AdoptedTree
{
    #[ORM\Column(name: 'ended_on', type: DayType::NAME, nullable: true)]
    public ?\DateTimeImmutable $endedOn = null;

    /** @var list<array{on: string, text: string}> what was noted, day by day */
    #[ORM\Column(type: 'json')]
    public array $notes = [];

    public function __construct(
        #[ORM\Id] #[ORM\Column(length: 36)] public readonly string $id,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'learner_id', nullable: false)] public readonly User $by,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public Specimen $specimen,
        #[ORM\Column(type: DayType::NAME)] public readonly \DateTimeImmutable $since,
    ) {
    }
}
