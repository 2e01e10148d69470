<?php

declare(strict_types=1);

namespace App\Library;

/** Recipes that were brought in, beside those that ship. */
interface MoreRecipes
{
    /** @return array<string, array<string, mixed>> documents by id, as the reader has found them to be */
    public function documents(): array;
}
