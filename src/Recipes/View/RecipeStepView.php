<?php

declare(strict_types=1);

namespace App\Recipes\View;

/** One step. */
final readonly class RecipeStepView
{
    /**
     * @param string               $name      of the step
     * @param string               $do        what is done
     * @param SpanView|null        $takes     hands are at it so long
     * @param SpanView|null        $waits     it goes on by itself so long
     * @param SpanView|null        $again     so often somebody looks after it
     * @param float|null           $heatLeast °C
     * @param float|null           $heatMost  °C
     * @param list<IngredientView> $with      what it wants
     * @param float|null           $leftLeast share of the weight that comes out, 0 to 1
     * @param float|null           $leftMost  the same
     * @param float|null           $outLeast  grams that come out; null where no weight was given
     * @param float|null           $outMost   grams
     * @param string               $vessel    in what
     * @param string               $until     how one knows that it is done
     * @param string               $wrong     what goes wrong
     * @param string               $never     what must never be done
     */
    public function __construct(
        public string $name,
        public string $do,
        public ?SpanView $takes,
        public ?SpanView $waits,
        public ?SpanView $again,
        public ?float $heatLeast,
        public ?float $heatMost,
        public array $with,
        public ?float $leftLeast,
        public ?float $leftMost,
        public ?float $outLeast,
        public ?float $outMost,
        public string $vessel,
        public string $until,
        public string $wrong,
        public string $never,
    ) {
    }
}
