<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Account\User;
use App\Storage\DayType;
use App\Trees\Site;
use Doctrine\ORM\Mapping as ORM;

/**
 * A day with a group: where, when, who, what is done at which tree, and what came of it. Of guests nothing is kept but
 * how many they are.
 *
 * @phpstan-type Station array{id: string, tree: string|null, character: string, activity: string, note: string}
 * @phpstan-type Next array{who: string, character: string}
 */
#[ORM\Entity]
#[ORM\Table(name: 'group_day')]
#[ORM\Index(name: 'group_day_day', columns: ['day'])]
class GroupDay
{
    /** @var list<string> ids of people of the school */
    #[ORM\Column(type: 'json')]
    public array $people = [];

    #[ORM\Column]
    public int $guests = 0;

    /** @var list<Station> in the order they are gone round */
    #[ORM\Column(type: 'json')]
    public array $stations = [];

    /** @var array<string, array<string, bool>> station → who ("guest-1" for a guest) → found */
    #[ORM\Column(type: 'json')]
    public array $results = [];

    #[ORM\Column(length: 2000)]
    public string $learnt = '';

    /** @var list<Next> whom to ask what next time */
    #[ORM\Column(name: 'ask_next', type: 'json')]
    public array $next = [];

    #[ORM\Column(name: 'given_up_at', nullable: true)]
    public ?\DateTimeImmutable $givenUpAt = null;

    /** @param string $id made by whoever plans it */
    public function __construct(
        #[ORM\Id] #[ORM\Column(length: 36)] public readonly string $id,
        #[ORM\Column(type: DayType::NAME)] public \DateTimeImmutable $day,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public Site $site,
        #[ORM\Column(length: 120)] public string $name,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'planned_by_id', nullable: false)] public readonly User $by,
        #[ORM\Column(name: 'planned_at')] public readonly \DateTimeImmutable $at,
    ) {
    }
}
