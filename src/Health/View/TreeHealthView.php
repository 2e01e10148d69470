<?php

declare(strict_types=1);

namespace App\Health\View;

/** How a tree is, as far as somebody looked. */
final readonly class TreeHealthView
{
    /**
     * @param list<SignView>     $known what is looked for at its kind; where none is settled, everything
     * @param list<SeenSignView> $seen  the last first
     */
    public function __construct(public array $known, public array $seen)
    {
    }
}
