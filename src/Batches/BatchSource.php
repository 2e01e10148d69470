<?php

declare(strict_types=1);

namespace App\Batches;

use App\Harvest\HarvestRecord;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** A harvest, or a share of one, that went into a batch. */
#[ORM\Entity]
#[ORM\Table(name: 'batch_source')]
#[ORM\UniqueConstraint(name: 'batch_source_once', columns: ['batch_id', 'harvest_id'])]
class BatchSource
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /** @param float $percent of the harvest, more than 0, up to 100 */
    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'sources')] #[ORM\JoinColumn(nullable: false)] public readonly Batch $batch,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public readonly HarvestRecord $harvest,
        #[ORM\Column(options: ['default' => 100])] public float $percent,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}
