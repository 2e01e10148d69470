<?php

declare(strict_types=1);

namespace App\Batches;

use App\Account\User;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
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

    /** It was not done, and counts as done. */
    #[ORM\Column(options: ['default' => false])]
    public bool $leftOut = false;

    /** @var Collection<int, BatchCheck> in their order */
    #[ORM\OneToMany(targetEntity: BatchCheck::class, mappedBy: 'step', cascade: ['persist'])]
    #[ORM\OrderBy(['at' => 'ASC'])]
    public Collection $checks;

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
        $this->checks = new ArrayCollection();
    }

    /** What became of the step, as a part of the pot has it: so much of each weight, the rest as it was. */
    public function partedTo(Batch $part, float $share): self
    {
        $copy = new self($part, $this->place, $this->by);
        [$copy->startedAt, $copy->dueAt, $copy->doneAt] = [$this->startedAt, $this->dueAt, $this->doneAt];
        [$copy->note, $copy->leftOut] = [$this->note, $this->leftOut];
        foreach ($this->checks as $check) {
            $copy->checks->add(new BatchCheck($copy, $check->answer, $check->note, $check->at, $check->by));
        }
        [$copy->gramsIn, $this->gramsIn] = self::parted($this->gramsIn, $share);
        [$copy->gramsOut, $this->gramsOut] = self::parted($this->gramsOut, $share);

        return $copy;
    }

    /** @return array{float|null, float|null} what goes with the part, and what stays */
    private static function parted(?float $grams, float $share): array
    {
        return null === $grams ? [null, null] : [$grams * $share, $grams * (1 - $share)];
    }
}
