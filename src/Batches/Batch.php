<?php

declare(strict_types=1);

namespace App\Batches;

use App\Account\User;
use App\Storage\DayType;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Recipe\Recipe;
use Hylognosis\Recipe\RecipeReader;

/** Something that is made of harvests, by a recipe as it stood when it was begun. */
#[ORM\Entity(repositoryClass: BatchRepository::class)]
#[ORM\Table(name: 'batch')]
#[ORM\Index(name: 'batch_state', columns: ['state', 'begun_at'])]
class Batch
{
    #[ORM\Column(length: 12)]
    public BatchState $state = BatchState::Running;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $endedAt = null;

    /** What to do otherwise next time. */
    #[ORM\Column(length: 1000)]
    public string $note = '';

    /** @var Collection<int, BatchSource> */
    #[ORM\OneToMany(targetEntity: BatchSource::class, mappedBy: 'batch', cascade: ['persist'])]
    public Collection $sources;

    /** @var Collection<int, BatchStep> */
    #[ORM\OneToMany(targetEntity: BatchStep::class, mappedBy: 'batch', cascade: ['persist'])]
    #[ORM\OrderBy(['place' => 'ASC'])]
    public Collection $steps;

    /** @var Collection<int, BatchUnit> */
    #[ORM\OneToMany(targetEntity: BatchUnit::class, mappedBy: 'batch', cascade: ['persist'])]
    #[ORM\OrderBy(['number' => 'ASC'])]
    public Collection $units;

    /**
     * @param string               $id       made by whoever begins it, so that sent twice it is begun once
     * @param string               $recipe   id of the recipe
     * @param string               $recipeHash of its edition
     * @param array<string, mixed> $document the recipe itself
     * @param list<string>         $ways     names of the ways taken
     * @param float                $grams    that went in
     */
    public function __construct(
        #[ORM\Id] #[ORM\Column(length: 36)] public readonly string $id,
        #[ORM\Column(length: 120)] public readonly string $name,
        #[ORM\Column(length: 60)] public readonly string $recipe,
        #[ORM\Column(length: 64)] public readonly string $recipeHash,
        #[ORM\Column(type: 'json')] public readonly array $document,
        #[ORM\Column(type: 'json')] public readonly array $ways,
        #[ORM\Column] public readonly float $grams,
        #[ORM\Column(type: DayType::NAME)] public readonly \DateTimeImmutable $begunOn,
        #[ORM\Column] public readonly \DateTimeImmutable $begunAt,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'begun_by_id', nullable: false)] public readonly User $by,
    ) {
        $this->sources = new ArrayCollection();
        $this->steps = new ArrayCollection();
        $this->units = new ArrayCollection();
    }

    /** As it stood when this was begun, whatever the book says now. */
    public function recipe(): Recipe
    {
        return (new RecipeReader())->read([$this->recipe => $this->document])[$this->recipe];
    }

    public function step(int $place): ?BatchStep
    {
        foreach ($this->steps as $step) {
            if ($step->place === $place) {
                return $step;
            }
        }

        return null;
    }
}
