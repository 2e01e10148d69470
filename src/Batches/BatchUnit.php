<?php

declare(strict_types=1);

namespace App\Batches;

use App\Account\User;
use App\Storage\DayType;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** A jar, bag or bundle with a label. */
#[ORM\Entity(repositoryClass: BatchUnitRepository::class)]
#[ORM\Table(name: 'batch_unit')]
#[ORM\UniqueConstraint(name: 'batch_unit_number', columns: ['batch_id', 'number'])]
class BatchUnit
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /** Who has it now. */
    #[ORM\Column(length: 200)]
    public string $givenTo = '';

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $recalledAt = null;

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: true)]
    public ?Recall $recall = null;

    /** @param string $contents what is in it, and how much, in the words of the label */
    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'units')] #[ORM\JoinColumn(nullable: false)] public readonly Batch $batch,
        #[ORM\Column] public readonly int $number,
        #[ORM\Column(length: 120)] public readonly string $contents,
        #[ORM\Column(type: DayType::NAME)] public readonly \DateTimeImmutable $madeOn,
        #[ORM\Column(type: DayType::NAME)] public readonly \DateTimeImmutable $bestBefore,
        #[ORM\Column] public readonly \DateTimeImmutable $labelledAt,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'labelled_by_id', nullable: false)] public readonly User $by,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}
