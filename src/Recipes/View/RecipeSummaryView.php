<?php

declare(strict_types=1);

namespace App\Recipes\View;

use Hylognosis\Recipe\Recipe;

/** A recipe, in a list. */
final readonly class RecipeSummaryView
{
    /**
     * @param string       $id   of the recipe
     * @param string       $name what is made
     * @param string       $use  what for, as the floras name uses
     * @param list<string> $of   parts it may be made of, as "taxon/part"
     * @param bool         $own  the school brought it in
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $use,
        public array $of,
        public bool $own,
    ) {
    }

    public static function of(Recipe $recipe, bool $own): self
    {
        return new self($recipe->id, $recipe->name, $recipe->use, $recipe->of, $own);
    }
}
