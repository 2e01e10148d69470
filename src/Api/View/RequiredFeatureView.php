<?php

declare(strict_types=1);

namespace App\Api\View;

/** A feature that must be scored sure. */
final readonly class RequiredFeatureView
{
    /** @param list<StateShareView> $states accepted */
    public function __construct(public string $character, public string $label, public string $organ, public array $states, public ?string $range, public int $samples)
    {
    }
}
