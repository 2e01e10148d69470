<?php

declare(strict_types=1);

namespace App\Species\View;

/** What the flora says of one character of a taxon. */
final readonly class DescribedView
{
    /** @param list<StateShareView> $states most frequent first; none for numbers */
    public function __construct(public string $character, public string $organ, public string $label, public array $states, public ?string $range)
    {
    }
}
