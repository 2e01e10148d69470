<?php

declare(strict_types=1);

namespace App\Recipes\View;

/** How something is made. */
final readonly class RecipeView
{
    /**
     * @param string               $id        of the recipe
     * @param string               $name      what is made
     * @param string               $use       what for, as the floras name uses
     * @param string               $hash      of this edition of it
     * @param list<RecipePartView> $of        of which parts; those of the reader's flora
     * @param string               $per       what the first weight is of
     * @param float|null           $grams     that go in; null: none was given
     * @param list<string>         $needs     tools and vessels
     * @param list<PartingView>    $partings  where ways part
     * @param list<RecipeStepView> $steps     of the ways that are taken
     * @param list<KeepingView>    $keeping   how long it keeps
     * @param list<string>         $cautions  what to mind
     * @param list<string>         $allergens in it
     * @param list<HistoryView>    $history   what people said of it
     * @param list<string>         $sources   where it is from
     * @param string $by who at the school brought it in; empty where it ships
     * @param list<BasicView> $basics what the steps only name
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $use,
        public string $hash,
        public array $of,
        public string $per,
        public ?float $grams,
        public array $needs,
        public array $partings,
        public array $steps,
        public array $keeping,
        public array $cautions,
        public array $allergens,
        public array $history,
        public array $sources,
        public string $by,
        public array $basics,
    ) {
    }
}
