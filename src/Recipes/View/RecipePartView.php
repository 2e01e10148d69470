<?php

declare(strict_types=1);

namespace App\Recipes\View;

/** A part something may be made of. */
final readonly class RecipePartView
{
    /**
     * @param string $taxon id of the kind
     * @param string $part  id of the part
     * @param string $name  common name of the kind
     * @param string $label what the part is called
     */
    public function __construct(public string $taxon, public string $part, public string $name, public string $label)
    {
    }
}
