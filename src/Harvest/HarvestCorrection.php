<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Account\User;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** What stood there before somebody corrected it. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'harvest_correction')]
class HarvestCorrection
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /** @param array<string, mixed> $before by name of the field */
    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'corrections')]
        #[ORM\JoinColumn(nullable: false)]
        public readonly HarvestRecord $harvest,
        #[ORM\Column(name: 'stood', type: 'json')] public readonly array $before,
        #[ORM\Column(length: 300)] public readonly string $because,
        #[ORM\Column(name: 'corrected_at')] public readonly \DateTimeImmutable $at,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'corrected_by_id', nullable: false)] public readonly User $by,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}
