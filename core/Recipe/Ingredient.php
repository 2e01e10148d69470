<?php

declare(strict_types=1);

namespace Hylognosis\Recipe;

/** Something a step wants, in proportion to what goes into the step. */
final readonly class Ingredient
{
    /**
     * @param float $times  so many times the weight of what goes into the step; more than 0
     * @param bool  $beside it does not become part of it: water that is poured away, wool that is dyed
     */
    public function __construct(public string $name, public float $times, public bool $beside)
    {
    }
}
