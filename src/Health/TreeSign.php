<?php

declare(strict_types=1);

namespace App\Health;

use App\Account\User;
use App\Storage\DayType;
use App\Trees\Specimen;
use Doctrine\ORM\Mapping as ORM;

/** A sign of illness that somebody saw on a tree, or looked for and did not see. These are only ever added. */
#[ORM\Entity(repositoryClass: TreeSignRepository::class)]
#[ORM\Table(name: 'tree_sign')]
class TreeSign
{
    #[ORM\Column(name: 'taken_back_at', nullable: true)]
    public ?\DateTimeImmutable $takenBackAt = null;

    /**
     * @param string $id     made by whoever tells of it, so that sent twice it is kept once
     * @param string $sign   id of a sign in flora/health.yaml
     * @param bool   $isSeen false: it was looked for, and was not there
     */
    public function __construct(
        #[ORM\Id] #[ORM\Column(length: 36)] public readonly string $id,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public Specimen $specimen,
        #[ORM\Column(length: 40)] public readonly string $sign,
        #[ORM\Column(name: 'is_seen')] public readonly bool $isSeen,
        #[ORM\Column(name: 'seen_on', type: DayType::NAME)] public readonly \DateTimeImmutable $on,
        #[ORM\Column(length: 300)] public readonly string $note,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'seen_by_id', nullable: false)] public readonly User $by,
        #[ORM\Column(name: 'recorded_at')] public readonly \DateTimeImmutable $recordedAt,
    ) {
    }
}
