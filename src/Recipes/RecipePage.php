<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Recipes\View\BasicView;
use App\Recipes\View\HistoryView;
use App\Recipes\View\IngredientView;
use App\Recipes\View\KeepingView;
use App\Recipes\View\PartingView;
use App\Recipes\View\RecipePartView;
use App\Recipes\View\RecipeStepView;
use App\Recipes\View\RecipeView;
use App\Recipes\View\SpanView;
use App\Recipes\View\WayView;
use Hylognosis\Flora\Flora;
use Hylognosis\Recipe\Basic;
use Hylognosis\Recipe\Branch;
use Hylognosis\Recipe\HistoricUse;
use Hylognosis\Recipe\Ingredient;
use Hylognosis\Recipe\Keeping;
use Hylognosis\Recipe\Recipe;
use Hylognosis\Recipe\Step;
use Hylognosis\Recipe\Weighed;

/** Draws up a recipe for the ways that are taken and the weight that is there. */
final readonly class RecipePage
{
    /**
     * @param list<string> $ways  names of the ways taken, in the order of the partings
     * @param float|null   $grams that go in
     * @param array<int, float> $known grams that were weighed after a step
     * @param list<Basic> $basics what it may only name
     * @param string      $by    who brought it in; empty where it ships
     * @param non-empty-list<Step>|null $steps where others are taken than the book has
     */
    public static function of(
        Recipe $recipe,
        Flora $flora,
        array $ways,
        ?float $grams,
        array $known = [],
        ?array $steps = null,
        string $by = '',
        array $basics = [],
    ): RecipeView {
        $steps ??= $recipe->way($ways);
        $weighed = null === $grams ? null : Weighed::through($steps, $grams, $known);

        return new RecipeView(
            $recipe->id,
            $recipe->name,
            $recipe->use,
            $recipe->hash,
            self::parts($recipe, $flora),
            $recipe->per,
            $grams,
            $recipe->needs,
            self::partings($recipe, $ways),
            array_map(
                static fn (Step $step, int $i): RecipeStepView => self::step($step, $weighed[$i] ?? null),
                $steps,
                array_keys($steps),
            ),
            array_map(
                static fn (Keeping $k): KeepingView => new KeepingView(
                    $k->as,
                    SpanView::of($k->for) ?? throw new \LogicException(),
                    $k->where,
                    $k->spoils,
                ),
                $recipe->keeping,
            ),
            $recipe->cautions,
            $recipe->allergens,
            array_map(static fn (HistoricUse $u): HistoryView => new HistoryView($u->says, $u->who), $recipe->history),
            $recipe->sources,
            $by,
            array_values(
                array_map(
                    static fn (Basic $b): BasicView => new BasicView($b->title, $b->says),
                    array_filter(
                        $basics,
                        static fn (Basic $b): bool => [] !== array_filter($steps, $b->isCalledForBy(...)),
                    ),
                ),
            ),
        );
    }

    /** @return list<RecipePartView> */
    private static function parts(Recipe $recipe, Flora $flora): array
    {
        $parts = [];
        foreach ($recipe->of as $of) {
            [$kind, $id] = explode('/', $of);
            $taxon = $flora->taxa[$kind] ?? null;
            if (isset($taxon->parts[$id])) {
                $parts[] = new RecipePartView($kind, $id, $taxon->commonName(), $taxon->parts[$id]->label);
            }
        }

        return $parts;
    }

    /**
     * @param list<string> $ways
     *
     * @return list<PartingView>
     */
    private static function partings(Recipe $recipe, array $ways): array
    {
        $partings = [];
        $before = 0;
        foreach ($recipe->steps as $step) {
            if ($step instanceof Step) {
                ++$before;
                continue;
            }
            $taken = $step[0];
            foreach ($step as $branch) {
                $taken = $branch->name === ($ways[\count($partings)] ?? '') ? $branch : $taken;
            }
            $partings[] = new PartingView(
                $before,
                array_map(static fn (Branch $b): WayView => new WayView($b->name, $b->when), $step),
                $taken->name,
            );
            $before += \count($taken->steps);
        }

        return $partings;
    }

    private static function step(Step $step, ?Weighed $weighed): RecipeStepView
    {
        return new RecipeStepView(
            $step->name,
            $step->do,
            SpanView::of($step->takes),
            SpanView::of($step->waits),
            SpanView::of($step->again),
            $step->heat[0]->celsius ?? null,
            $step->heat[1]->celsius ?? null,
            array_map(
                static fn (Ingredient $in, int $i): IngredientView => new IngredientView(
                    $in->name,
                    $in->times,
                    $in->beside,
                    $weighed->with[$i][1] ?? null,
                    $weighed->with[$i][2] ?? null,
                ),
                $step->with,
                array_keys($step->with),
            ),
            $step->left[0] ?? null,
            $step->left[1] ?? null,
            $weighed->out[0] ?? null,
            $weighed->out[1] ?? null,
            $step->vessel,
            $step->until,
            $step->wrong,
            $step->never,
        );
    }
}
