<?php

declare(strict_types=1);

namespace App\Season;

use App\Account\User;
use App\Storage\DayType;
use Doctrine\ORM\Mapping as ORM;

/** A day out that was kept. What is to be done on it is reckoned anew each time it is opened. */
#[ORM\Entity(repositoryClass: PlannedDayRepository::class)]
#[ORM\Table(name: 'planned_day')]
#[ORM\Index(name: 'planned_day_day', columns: ['day'])]
class PlannedDay
{
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $givenUpAt = null;

    /**
     * @param string                $id    made by whoever keeps it, so that sent twice it is kept once
     * @param string                $name  what it is for, in the keeper's words; may be empty
     * @param array{sites: list<string>, hopes: list<string>, skip: list<string>, latitude: float|null,
     *     longitude: float|null} $asked
     *                                     what the plan was asked for
     * @param list<string>          $trees tags, in the order they were to be walked when it was kept
     */
    public function __construct(
        #[ORM\Id] #[ORM\Column(length: 36)] public readonly string $id,
        #[ORM\Column(type: DayType::NAME)] public readonly \DateTimeImmutable $day,
        #[ORM\Column(length: 120)] public readonly string $name,
        #[ORM\Column(type: 'json')] public readonly array $asked,
        #[ORM\Column(type: 'json')] public readonly array $trees,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'kept_by_id', nullable: false)] public readonly User $by,
        #[ORM\Column] public readonly \DateTimeImmutable $keptAt,
    ) {
    }
}
