<?php

declare(strict_types=1);

namespace App\Recipes\View;

/** Something a step wants. */
final readonly class IngredientView
{
    /**
     * @param string     $name   what
     * @param float      $times  so many times the weight of what goes into the step
     * @param bool       $beside it does not become part of it
     * @param float|null $least  grams; null where no weight was given
     * @param float|null $most   grams
     */
    public function __construct(
        public string $name,
        public float $times,
        public bool $beside,
        public ?float $least,
        public ?float $most,
    ) {
    }
}
