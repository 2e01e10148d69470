<?php

declare(strict_types=1);

namespace App\Recipes\View;

/** What a recipe only names. */
final readonly class BasicView
{
    /**
     * @param string $title what it is about
     * @param string $says  how it is done
     */
    public function __construct(public string $title, public string $says)
    {
    }
}
