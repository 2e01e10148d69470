<?php

declare(strict_types=1);

namespace App\Storm;

use App\Account\User;
use App\Pastures\Pasture;
use App\Trees\Specimen;
use App\Trees\Stand;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Storm\StormFinding;
use Symfony\Component\Uid\Uuid;

/** A tree or a stand that is gone to after a storm, and what was found. One nobody looked at stays open. */
#[ORM\Entity(repositoryClass: StormStopRepository::class)]
#[ORM\Table(name: 'storm_stop')]
class StormStop
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column(length: 16, nullable: true)]
    public ?StormFinding $finding = null;

    /** Millimetres at the foot of what came down; null where nobody measured it, or nothing did. */
    #[ORM\Column(nullable: true)]
    public ?float $thickness = null;

    #[ORM\Column(length: 300)]
    public string $note = '';

    #[ORM\Column(name: 'found_at', nullable: true)]
    public ?\DateTimeImmutable $foundAt = null;

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(name: 'found_by_id')]
    public ?User $foundBy = null;

    #[ORM\Column(length: 16, nullable: true)]
    public ?Ended $ended = null;

    #[ORM\Column(name: 'ended_at', nullable: true)]
    public ?\DateTimeImmutable $endedAt = null;

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(name: 'ended_by_id')]
    public ?User $endedBy = null;

    /**
     * @param Pasture|null $pasture that it threatens most; null where it threatens none
     * @param int          $number  from 1 up, in the order of the walk
     * @param int|null     $seconds of the way from the stop before; null where nobody knows where it stands
     */
    public function __construct(
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public readonly StormWalk $walk,
        #[ORM\ManyToOne] #[ORM\JoinColumn] public ?Specimen $specimen,
        #[ORM\ManyToOne] #[ORM\JoinColumn] public readonly ?Stand $stand,
        #[ORM\ManyToOne] #[ORM\JoinColumn] public readonly ?Pasture $pasture,
        #[ORM\Column(name: 'stop_number')] public readonly int $number,
        #[ORM\Column(nullable: true)] public readonly ?int $seconds,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}
