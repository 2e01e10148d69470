<?php

declare(strict_types=1);

namespace App\Batches;

use App\Account\User;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** What became of one step of the recipe. */
#[ORM\Entity]
#[ORM\Table(name: 'batch_step')]
#[ORM\UniqueConstraint(name: 'batch_step_place', columns: ['batch_id', 'place'])]
class BatchStep
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $startedAt = null;

    /** When somebody is to look after it. */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $dueAt = null;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $doneAt = null;

    #[ORM\Column(nullable: true)]
    public ?float $gramsIn = null;

    #[ORM\Column(nullable: true)]
    public ?float $gramsOut = null;

    /** What was done otherwise, how it tasted, what was thrown away. */
    #[ORM\Column(length: 1000)]
    public string $note = '';

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(name: 'written_by_id', nullable: false)]
    public User $by;

    /** @param int $place in the way that is taken, from 0 */
    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'steps')] #[ORM\JoinColumn(nullable: false)] public readonly Batch $batch,
        #[ORM\Column] public readonly int $place,
        User $by,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
        $this->by = $by;
    }
}
