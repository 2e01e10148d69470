<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Account\User;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Measure\AmountUnit;
use Symfony\Component\Uid\Uuid;

/** "My basket of haws is 1.4 kg": weighed once, counted ever after, by everybody at the school. */
#[ORM\Entity(repositoryClass: OwnMeasureRepository::class)]
#[ORM\Table(name: 'own_measure')]
class OwnMeasure
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $forgottenAt = null;

    /** @param float $amount that is in it, more than 0, in the unit given */
    public function __construct(
        #[ORM\Column(length: 60)] public readonly string $name,
        #[ORM\Column] public readonly float $amount,
        #[ORM\Column(length: 12)] public readonly AmountUnit $unit,
        #[ORM\Column(name: 'weighed_at')] public readonly \DateTimeImmutable $at,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'weighed_by_id', nullable: false)] public readonly User $by,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}
