<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Library\MoreRecipes;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<OwnRecipe> */
final class OwnRecipeRepository extends ServiceEntityRepository implements MoreRecipes
{
    private const MOST = 500;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, OwnRecipe::class);
    }

    /** @return array<string, OwnRecipe> those in use, by the id they go by */
    public function inUse(): array
    {
        $own = [];
        foreach ($this->findBy(['laidAsideAt' => null], ['recipe' => 'ASC'], self::MOST) as $recipe) {
            $own[$recipe->recipe] = $recipe;
        }

        return $own;
    }

    public function documents(): array
    {
        return array_map(static fn (OwnRecipe $r): array => $r->document, $this->inUse());
    }
}
