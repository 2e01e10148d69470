<?php

declare(strict_types=1);

namespace App\Recipes\View;

/** What came of a document of recipes. */
final readonly class BroughtInView
{
    /**
     * @param list<string> $made ids of those that are new, or another edition
     * @param list<string> $same ids of those that stood there already
     */
    public function __construct(public array $made, public array $same)
    {
    }
}
