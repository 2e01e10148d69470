<?php

declare(strict_types=1);

namespace App\Storm;

use App\Account\User;
use App\Trees\Site;
use Doctrine\ORM\Mapping as ORM;

/** The walk after one storm through one place. It is done when every stop is looked at and no alarm is open. */
#[ORM\Entity(repositoryClass: StormWalkRepository::class)]
#[ORM\Table(name: 'storm_walk')]
class StormWalk
{
    /**
     * @param string     $id      made by whoever raises it, so that sent twice it is raised once
     * @param \DateTimeImmutable $blewAt when it blew; where only the day is known its beginning, for wilting may have
     *                                   begun then
     * @param float|null $gust    metres per second; null where nobody measured it
     * @param int        $seconds of the whole walk
     */
    public function __construct(
        #[ORM\Id] #[ORM\Column(length: 36)] public readonly string $id,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public readonly Site $site,
        #[ORM\Column(name: 'blew_at')] public readonly \DateTimeImmutable $blewAt,
        #[ORM\Column(nullable: true)] public readonly ?float $gust,
        #[ORM\Column] public readonly int $seconds,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'raised_by_id', nullable: false)] public readonly User $by,
        #[ORM\Column(name: 'raised_at')] public readonly \DateTimeImmutable $raisedAt,
    ) {
    }
}
