<?php

declare(strict_types=1);

namespace App\Batches;

use App\Account\User;
use App\Storage\DayType;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Measure\TimeSpan;
use Hylognosis\Recipe\Recipe;
use Hylognosis\Recipe\RecipeReader;
use Hylognosis\Recipe\Step;

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

    /** A part of this was taken out of another batch. */
    #[ORM\ManyToOne(targetEntity: self::class, inversedBy: 'parts')]
    #[ORM\JoinColumn(name: 'split_from_id', nullable: true)]
    public ?self $splitFrom = null;

    /** Percent of that batch. */
    #[ORM\Column(nullable: true)]
    public ?float $splitShare = null;

    /** All of this was put to another batch. */
    #[ORM\ManyToOne(targetEntity: self::class, inversedBy: 'poured')]
    #[ORM\JoinColumn(name: 'joined_into_id', nullable: true)]
    public ?self $joinedInto = null;

    /** @var Collection<int, Batch> what was taken out of this */
    #[ORM\OneToMany(targetEntity: self::class, mappedBy: 'splitFrom')]
    public Collection $parts;

    /** @var Collection<int, Batch> what was put to this */
    #[ORM\OneToMany(targetEntity: self::class, mappedBy: 'joinedInto')]
    public Collection $poured;

    /** @var list<array{at: int, name: string, do: string, until: string, waits: string}>|null steps of one's own */
    #[ORM\Column(type: 'json', nullable: true)]
    public ?array $ownSteps = null;

    /** @var Collection<int, BatchSource> */
    #[ORM\OneToMany(targetEntity: BatchSource::class, mappedBy: 'batch', cascade: ['persist'], orphanRemoval: true)]
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
        #[ORM\Column] public float $grams,
        #[ORM\Column(type: DayType::NAME)] public readonly \DateTimeImmutable $begunOn,
        #[ORM\Column] public readonly \DateTimeImmutable $begunAt,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'begun_by_id', nullable: false)] public readonly User $by,
    ) {
        $this->sources = new ArrayCollection();
        $this->steps = new ArrayCollection();
        $this->units = new ArrayCollection();
        $this->parts = new ArrayCollection();
        $this->poured = new ArrayCollection();
    }

    /** As it stood when this was begun, whatever the book says now. */
    public function recipe(): Recipe
    {
        return (new RecipeReader())->read([$this->recipe => $this->document])[$this->recipe];
    }

    /** @return non-empty-list<Step> of the way that is taken, with those of one's own between them */
    public function way(): array
    {
        $steps = $this->recipe()->way($this->ways);
        foreach ($this->ownSteps ?? [] as $own) {
            $waits = '' === $own['waits'] ? null : TimeSpan::parse($own['waits']);
            array_splice($steps, $own['at'], 0, [Step::ofOnesOwn($own['name'], $own['do'], $waits, $own['until'])]);
        }
        \assert([] !== $steps);

        return $steps;
    }

    public function isOwnStep(int $place): bool
    {
        return \in_array($place, array_column($this->ownSteps ?? [], 'at'), true);
    }

    /** The first step nobody has begun: what is put in comes before it. */
    public function nextUnbegun(): int
    {
        $last = -1;
        foreach ($this->steps as $step) {
            $last = max($last, $step->place);
        }

        return $last + 1;
    }

    /** Puts a step of one's own in before the first that nobody has begun. */
    public function putIn(string $name, string $do, string $until, string $waits): void
    {
        $at = $this->nextUnbegun();
        $steps = array_map(
            static fn (array $own): array => $own['at'] >= $at ? ['at' => $own['at'] + 1] + $own : $own,
            $this->ownSteps ?? [],
        );
        $steps[] = ['at' => $at, 'name' => $name, 'do' => $do, 'until' => $until, 'waits' => $waits];
        usort($steps, static fn (array $a, array $b): int => $a['at'] <=> $b['at']);
        $this->ownSteps = $steps;
    }

    public function isThrough(): bool
    {
        foreach (array_keys($this->way()) as $place) {
            if (null === $this->step($place)?->doneAt) {
                return false;
            }
        }

        return true;
    }

    /** @return array<int, float> grams that were weighed after a step, by its place */
    public function weighed(): array
    {
        $weighed = [];
        foreach ($this->steps as $step) {
            if (null !== $step->gramsOut) {
                $weighed[$step->place] = $step->gramsOut;
            }
        }

        return $weighed;
    }

    /** @return list<self> all that was once one pot with this, itself first */
    public function family(): array
    {
        $family = [$this];
        for ($i = 0; isset($family[$i]); ++$i) {
            $one = $family[$i];
            foreach ([$one->splitFrom, $one->joinedInto, ...$one->parts, ...$one->poured] as $other) {
                if (null !== $other && !\in_array($other, $family, true)) {
                    $family[] = $other;
                }
            }
        }

        return $family;
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
