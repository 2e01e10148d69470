<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Account\User;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** A recipe the school brought in. One that is replaced or laid aside stays on record. */
#[ORM\Entity(repositoryClass: OwnRecipeRepository::class)]
#[ORM\Table(name: 'own_recipe')]
class OwnRecipe
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $laidAsideAt = null;

    /**
     * @param string               $recipe   id it goes by
     * @param string               $hash     of its edition
     * @param array<string, mixed> $document the recipe itself
     */
    public function __construct(
        #[ORM\Column(length: 60)] public readonly string $recipe,
        #[ORM\Column(length: 64)] public readonly string $hash,
        #[ORM\Column(type: 'json')] public readonly array $document,
        #[ORM\Column(name: 'brought_at')] public readonly \DateTimeImmutable $at,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'brought_by_id', nullable: false)] public readonly User $by,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}
